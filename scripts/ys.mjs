// Runs the command line, bundled first when its sources are newer than the bundle.
import { statSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const root = new URL('..', import.meta.url).pathname;
process.env.YS_HOME ??= root;
const bundle = join(root, 'dist', 'ys.mjs');

const time = (path) => statSync(path, { throwIfNoEntry: false })?.mtimeMs ?? 0;
const newest = (folder) =>
  Math.max(
    ...readdirSync(folder, { withFileTypes: true }).map((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? newest(path) : time(path);
    }),
  );

if (['core', 'paint', 'bring-in', 'output', 'demo', 'cli'].some((f) => newest(join(root, 'src', f)) > time(bundle))) {
  const { buildCli } = await import('./build-cli.mjs');
  await buildCli();
}
await import(pathToFileURL(bundle).href);
