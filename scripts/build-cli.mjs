import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';

const root = new URL('..', import.meta.url).pathname;

/**
 * Bundles the command line, the room that makes files and the processes of the server into dist/; native and
 * WebAssembly packages stay outside.
 */
export async function buildCli() {
  const { metafile } = await build({
    absWorkingDir: root,
    metafile: true,
    entryPoints: {
      ys: 'src/cli/ys.ts',
      output: 'src/output/index.ts',
      work: 'src/server/work/process.ts',
      bounds: 'src/output/bounds.thread.ts',
    },
    outdir: 'dist',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    external: ['sqlite3', 'harfbuzzjs', 'lcms-wasm', 'sharp', '@resvg/resvg-js', 'woff2-encoder', '@cantoo/pdf-lib'],
    banner: { js: "import { createRequire as __cr } from 'node:module'; const require = __cr(import.meta.url);" },
    // Half as much to parse at each start; names stay, for those who read a trace.
    minifyWhitespace: true,
    minifySyntax: true,
    logLevel: 'warning',
  });
  // What earlier builds left behind.
  const made = new Set(Object.keys(metafile.outputs).map((path) => path.replace(/^dist\//, '')));
  for (const name of readdirSync(join(root, 'dist')))
    if (name.endsWith('.mjs') && !made.has(name) && name !== 'bench.mjs') rmSync(join(root, 'dist', name));
}

if (process.argv[1] === new URL(import.meta.url).pathname) await buildCli();
