import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { EMBLEM, ICONS } from './draw-emblem';
import { HEAVENS, heaven, type Heaven } from './draw-heavens';
import { fourMoons } from './draw-moons';
import { meteorSky } from './draw-sky';
import { CRESCENT, starTrails } from './draw-trail';

/** A picture or drawing of the demo world, under the name its file has. */
export interface DemoFile {
  readonly name: string;
  readonly bytes: Buffer;
}

/** Pixels across from which a picture is drawn at half its size. */
const SOFT_FROM = 2000;

type Drawn = (width: number, height: number) => string;

/** Pictures as SVG, with the pixels that their place in print asks for. */
const PICTURES: Readonly<Record<string, readonly [draw: Drawn, width: number, height: number]>> = {
  // A5 with 3 mm of bleed at 300 ppi.
  'sky-over-the-moor.jpg': [meteorSky, 1819, 2551],
  // The upper half of an A2 poster at 150 ppi.
  'northern-lights-wide.jpg': [drawn('northern lights'), 2520, 1600],
  // A4 landscape and a strip along its foot, with bleed, at 300 ppi.
  'aurora-over-the-moor.jpg': [drawn('northern lights'), 3579, 2552],
  'moor-at-dusk.jpg': [drawn('dome'), 3579, 900],
  // Across the spine of the catalogue, with bleed, at 300 ppi.
  ...Object.fromEntries(
    HEAVENS.map((which) => [`night-${which.replaceAll(' ', '-')}.jpg`, [drawn(which), 2400, 1860] as const]),
  ),
  'night-meteors.jpg': [meteorSky, 2400, 1860],
  // A bookmark with bleed, at 300 ppi.
  'four-moons.jpg': [fourMoons, 661, 2197],
  // A seventh of a 5 ft banner at 100 ppi.
  ...Object.fromEntries(
    HEAVENS.map((which) => [`${which.replaceAll(' ', '-')}.jpg`, [drawn(which), 900, 1500] as const]),
  ),
};

function drawn(which: Heaven): Drawn {
  return (width, height) => heaven(which, width, height);
}

const DRAWINGS: Readonly<Record<string, string>> = {
  'emblem.svg': EMBLEM,
  'crescent.svg': CRESCENT,
  'star-trails.svg': starTrails(),
  ...Object.fromEntries(Object.entries(ICONS).map(([name, svg]) => [`${name}.svg`, svg])),
};

/** The names of the pictures, which are drawn once and shipped (`ys docs` draws them anew). */
export const PICTURE_FILES: readonly string[] = Object.keys(PICTURES);

/** Rows of a spreadsheet, which were typed. */
const ROWS: readonly string[] = ['observers.csv'];

/** Whether the demo has a picture, a drawing or rows of that name. */
export const isDemoFile = (name: string): boolean =>
  Object.hasOwn(DRAWINGS, name) || Object.hasOwn(PICTURES, name) || ROWS.includes(name);

/**
 * One of them as a file; pictures as JPEG, drawings as SVG.
 * @param folder where the application lies
 */
export async function demoFile(name: string, folder: string): Promise<DemoFile> {
  const drawing = DRAWINGS[name];
  if (drawing !== undefined) return { name, bytes: Buffer.from(drawing) };
  const path = (...parts: string[]) => join(/* turbopackIgnore: true */ folder, 'assets', 'demo', ...parts);
  if (ROWS.includes(name)) return { name, bytes: await readFile(path(name)) };
  if (!Object.hasOwn(PICTURES, name)) throw new Error(`The demo has no picture called ${name}.`);
  return { name, bytes: await readFile(path('pictures', name)) };
}

/**
 * Draws a picture of the demo as a JPEG.
 * @param share of the pixels across and down, where a smaller picture will do
 */
export async function drawnPicture(name: string, share = 1): Promise<Buffer> {
  const picture = PICTURES[name];
  if (!picture) throw new Error(`The demo has no picture called ${name}.`);
  const [{ Resvg }, { default: sharp }] = await Promise.all([import('@resvg/resvg-js'), import('sharp')]);
  const [draw, width, height] = picture;
  // Large skies are soft: drawn at half and enlarged they look the same, in a quarter of the time.
  const drawnAt = width > SOFT_FROM ? share / 2 : share;
  const svg = draw(Math.round(width * drawnAt), Math.round(height * drawnAt));
  const png = new Resvg(svg, { font: { loadSystemFonts: false } }).render().asPng();
  return sharp(png)
    .resize(Math.round(width * share), Math.round(height * share), { fit: 'fill' })
    .jpeg({ quality: 90, chromaSubsampling: '4:4:4' })
    .withMetadata({ density: 300 })
    .toBuffer();
}
