// What the tests call `output` is what ships: the room as it was bundled into dist/ for the command line and the export
// queue.
const { join } = require('node:path');

const root = join(__dirname, '..');
const FRONT_DOOR = join(root, 'src', 'output', 'index.ts');
const BUNDLED = join(root, 'dist', 'output.mjs');

/** @type {import('jest-resolve').SyncResolver} */
module.exports = (request, options) => {
  const found = options.defaultResolver(request, options);
  return found === FRONT_DOOR ? BUNDLED : found;
};
