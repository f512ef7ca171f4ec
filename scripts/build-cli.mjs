import { build } from 'esbuild';

const root = new URL('..', import.meta.url).pathname;

/** Bundles the command line and the room that makes files into dist/; native and WebAssembly packages stay outside. */
export async function buildCli() {
  await build({
    absWorkingDir: root,
    entryPoints: { ys: 'src/cli/ys.ts', output: 'src/output/index.ts' },
    outdir: 'dist',
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    external: ['harfbuzzjs', 'lcms-wasm', 'sharp', '@resvg/resvg-js', 'woff2-encoder', '@cantoo/pdf-lib'],
    banner: { js: "import { createRequire as __cr } from 'node:module'; const require = __cr(import.meta.url);" },
    logLevel: 'warning',
  });
}

if (process.argv[1] === new URL(import.meta.url).pathname) await buildCli();
