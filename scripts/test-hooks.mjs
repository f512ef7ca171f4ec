const root = new URL('../', import.meta.url).href;

// What the tests call `output` is what ships: the room as it was bundled into dist/ for the command line and the export
// queue.
const FRONT_DOOR = `${root}src/output/index.ts`;
const BUNDLED = `${root}dist/output.mjs`;

/** @type {import('node:module').ResolveHook} */
export async function resolve(specifier, context, next) {
  // A mark for the bundler of the pages alone.
  if (specifier === 'server-only') return next(`${root}src/shims/empty.ts`, context);
  const patterns = /^hyphen\/(?<language>.+)$/.exec(specifier)?.groups?.language;
  if (patterns) return next(`${root}node_modules/hyphen/${patterns}/index.js`, context);
  const found = await next(specifier, context);
  return found.url.split('?')[0] === FRONT_DOOR ? { ...found, url: BUNDLED, format: 'module' } : found;
}
