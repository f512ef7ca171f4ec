// Speed and memory, as ratios to a floor measured in the same run; whole, or the parts named (“npm run bench --
// typing”).
import { installPackages, installPrograms, root, run, buildApplication } from './setup.mjs';

installPackages();
installPrograms();
await buildApplication();
const { build } = await import('esbuild');
await build({
  absWorkingDir: root,
  entryPoints: ['bench/bench.ts'],
  outfile: 'dist/bench.mjs',
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  external: [
    'harfbuzzjs',
    'lcms-wasm',
    'sharp',
    'sqlite3',
    '@resvg/resvg-js',
    'woff2-encoder',
    '@cantoo/pdf-lib',
    '@playwright/test',
    'tinybench',
  ],
  banner: { js: "import { createRequire as __cr } from 'node:module'; const require = __cr(import.meta.url);" },
  logLevel: 'warning',
});
run(process.execPath, ['dist/bench.mjs', ...process.argv.slice(2)], { env: { ...process.env, YS_HOME: root } });
