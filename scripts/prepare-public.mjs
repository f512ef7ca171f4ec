// Makes ready what the pages fetch: unpacks the shipped fonts (woff2 in the @fontsource packages, SIL OFL 1.1) into
// sfnt files that can be shaped, subset and embedded. Runs again only when something is missing.
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync, copyFileSync } from 'node:fs';
import { join } from 'node:path';
import decompress from 'woff2-encoder/decompress';

const root = new URL('..', import.meta.url).pathname;
const out = join(root, 'public', 'fonts');
const catalogue = readFileSync(join(root, 'src/core/type/catalogue.ts'), 'utf8');
const families = [...catalogue.matchAll(/file: '([\w-]+)', weights: \[([\d, ]+)\], italics: (true|false)/g)];
if (families.length < 8) throw new Error('The font catalogue could not be read.');

mkdirSync(out, { recursive: true });
let made = 0;
for (const [, file, weights, italics] of families) {
  for (const weight of weights.split(',').map((w) => w.trim())) {
    for (const slope of italics === 'true' ? ['normal', 'italic'] : ['normal']) {
      for (const subset of ['latin', 'latin-ext']) {
        const name = `${file}-${subset}-${weight}-${slope}`;
        const target = join(out, `${name}.ttf`);
        if (existsSync(target)) continue;
        const source = join(root, 'node_modules/@fontsource', file, 'files', `${name}.woff2`);
        writeFileSync(target, await decompress(readFileSync(source)));
        made += 1;
      }
    }
  }
}

// WebAssembly that the page loads from our own address.
const wasm = join(root, 'public', 'wasm');
mkdirSync(wasm, { recursive: true });
for (const file of ['lcms.js', 'lcms.wasm']) {
  copyFileSync(join(root, 'node_modules/lcms-wasm/dist', file), join(wasm, file));
}
const profiles = join(root, 'public', 'profiles');
mkdirSync(profiles, { recursive: true });
for (const profile of ['coated-fogra39', 'uncoated-fogra29']) {
  copyFileSync(join(root, 'assets/profiles', `${profile}.icc`), join(profiles, `${profile}.icc`));
}

// Pictures of the gallery of printables (npm run formats).
const printables = join(root, 'public', 'printables');
mkdirSync(printables, { recursive: true });
for (const file of readdirSync(join(root, 'assets/printables'))) {
  copyFileSync(join(root, 'assets/printables', file), join(printables, file));
}
if (made > 0) console.error(`Fonts: ${made} files made ready.`);
