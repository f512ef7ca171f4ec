import { EMBLEM, ICONS } from './draw-emblem';
import { HEAVENS, heaven } from './draw-heavens';
import { meteorSky } from './draw-sky';

/** A picture or drawing of the demo world, under the name its file has. */
export interface DemoFile {
  readonly name: string;
  readonly bytes: Buffer;
}

/** Pictures as SVG, each at the pixels its place in print asks for. */
const PICTURES: Readonly<Record<string, () => string>> = {
  // A5 with 3 mm of bleed at 300 ppi.
  'sky-over-the-moor.jpg': () => meteorSky(1819, 2551),
  ...Object.fromEntries(HEAVENS.map((which) => [`${which.replaceAll(' ', '-')}.jpg`, () => heaven(which, 900, 1500)])),
};

const DRAWINGS: Readonly<Record<string, string>> = {
  'emblem.svg': EMBLEM,
  ...Object.fromEntries(Object.entries(ICONS).map(([name, svg]) => [`${name}.svg`, svg])),
};

/** One of them as a file; pictures as JPEG, drawings as SVG. */
export async function demoFile(name: string): Promise<DemoFile> {
  const drawing = DRAWINGS[name];
  if (drawing !== undefined) return { name, bytes: Buffer.from(drawing) };
  const picture = PICTURES[name];
  if (!picture) throw new Error(`The demo has no picture called ${name}.`);
  const [{ Resvg }, { default: sharp }] = await Promise.all([import('@resvg/resvg-js'), import('sharp')]);
  const png = new Resvg(picture(), { font: { loadSystemFonts: false } }).render().asPng();
  const bytes = await sharp(png)
    .jpeg({ quality: 90, chromaSubsampling: '4:4:4' })
    .withMetadata({ density: 300 })
    .toBuffer();
  return { name, bytes };
}
