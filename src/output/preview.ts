import sharp from 'sharp';
import { NO_INK, shownBuild, type Build } from '../core/colour';
import { itemsOf, leavesOf, pageKey, type Ink, type Item } from '../core/drawing';
import { pictureAsset, type PictureAsset } from '../core/job';
import { MM_PER_INCH } from '../core/measure';
import { writePdf } from '../paint/pdf';
import type { BlankSurface } from '../core/format';
import { blankPicture, svgPage, type SvgContext } from '../paint/svg';
import type { Desk, DeskSide } from './desk';
import type { Progress } from './file';
import type { OutputFile } from './file';
import { fileStem, sideStems } from './file-name';
import { encodePictures, fileId, commonParts } from './pdf-request';
import { treatmentOf, type PictureUse } from './picture-use';
import { screenPicture, type Treatment } from './pictures';
import { documentPage } from './document-page';
import { readSrgb } from './profiles';
import { deflateSync } from 'node:zlib';
import type { EncodedPicture, Purpose } from '../paint/pdf';

const QUALITY = 85;

/** Cut to the trim, without marks, in sRGB: a PDF of all sides, and a PNG of each. */
export async function previewFiles(desk: Desk, at: Date, progress: Progress): Promise<readonly OutputFile[]> {
  const stem = fileStem(desk.job.name);
  const files: OutputFile[] = [
    { name: `${stem}-preview.pdf`, type: 'application/pdf', bytes: await previewPdf(desk, at, progress) },
  ];
  const stems = sideStems(desk.job, desk.sides);
  for (const [i, side] of desk.sides.entries()) {
    progress(0.6 + (0.4 * (files.length - 1)) / desk.sides.length, `Drawing the ${side.surface.name}`);
    const bytes = await previewPng(desk, side, desk.job.output.previewPixels);
    files.push({ name: `${stems[i] ?? stem}.png`, type: 'image/png', bytes });
  }
  progress(1, 'Done');
  return files;
}

/** Pixels to the inch at which a preview’s longest side has the pixels asked for. */
const previewPpi = (side: DeskSide, longest: number): number =>
  (longest / Math.max(side.surface.boxes.trim.width, side.surface.boxes.trim.height)) * MM_PER_INCH;

/** Every side cut to its trim, a page each. */
export async function previewPdf(desk: Desk, at: Date, progress: Progress): Promise<Uint8Array> {
  const { job } = desk;
  const [firstSide] = desk.sides;
  const ppi = firstSide ? previewPpi(firstSide, job.output.previewPixels) : 150;
  const picture = await encodePictures(
    desk,
    () => ppi,
    (bytes, use) => screenEncoding(desk, bytes, use),
    (share, step) => progress(0.6 * share, step),
  );
  return writePdf({
    pages: desk.sides.map((side) => {
      const { trim } = side.surface.boxes;
      return { parts: [{ items: itemsOf(side.drawing) }], trim, bleed: trim, sheet: trim };
    }),
    purpose: screenPurpose(desk),
    metadata: { title: job.name, at, id: fileId(job, at, 'preview') },
    profile: { bytes: await readSrgb(), condition: 'sRGB', about: 'sRGB' },
    ...(await commonParts(desk)),
    picture,
  });
}

/** Inks as a screen or a desk printer shows them. */
export const screenPurpose = (desk: Desk): Purpose => ({
  kind: 'screen',
  toRgb: (ink) => desk.colour.toRgb(screenBuild(ink)),
});

/** What a screen shows an ink by. */
function screenBuild(ink: Ink): Build {
  switch (ink.kind) {
    case 'process':
      return shownBuild(ink);
    case 'technical':
      return ink.shown;
    case 'registration':
      return { c: 0, m: 0, y: 0, k: ink.tint };
    case 'gradient':
      return shownBuild(ink.stops[0] ?? { build: NO_INK });
  }
}

export async function screenEncoding(
  desk: Desk,
  bytes: Uint8Array,
  { asset, size, treatment }: PictureUse,
): Promise<EncodedPicture> {
  const { rgb, alpha, ...grown } = await screenPicture(bytes, asset, size, desk.profile.pictures(), treatment);
  const jpeg = await sharp(rgb, { raw: { ...grown, channels: 3 } })
    .jpeg({ quality: QUALITY })
    .toBuffer();
  return {
    ...grown,
    space: 'rgb',
    bytes: jpeg,
    filter: 'jpeg',
    inverted: false,
    ...(alpha && { mask: deflateSync(alpha) }),
  };
}

/** One side as a PNG, its longest side as many pixels as asked for. */
export async function previewPng(desk: Desk, side: DeskSide, longest: number): Promise<Uint8Array> {
  const { Resvg } = await import('@resvg/resvg-js');
  const { trim } = side.surface.boxes;
  const ppi = previewPpi(side, longest);
  const items = itemsOf(side.drawing);
  const svg = svgPage(items, trim, await paintingOf(desk, items, ppi));
  const fitTo =
    trim.width >= trim.height
      ? { mode: 'width' as const, value: longest }
      : { mode: 'height' as const, value: longest };
  return new Resvg(svg, { fitTo, font: { loadSystemFonts: false } }).render().asPng();
}

type Linked = Extract<Item, { kind: 'picture' | 'page' }>;

const hrefKey = (item: Linked): string =>
  item.kind === 'page' ? pageKey(item) : `${item.picture}/${JSON.stringify(item.adjust ?? null)}`;

/** What drawing items as SVG needs, everything in it: pictures as the paper will show them, for a resolution. */
export async function paintingOf(desk: Desk, items: readonly Item[], ppi: number): Promise<SvgContext> {
  const hrefs = await hrefsOf(desk, items, ppi);
  const href = (item: Linked) => hrefs.get(hrefKey(item)) ?? '';
  return { fonts: desk.fonts.set, colour: desk.colour, picture: href, page: href };
}

/** Pictures and pages of documents as data addresses, at twice the pixels that are drawn. */
async function hrefsOf(desk: Desk, items: readonly Item[], ppi: number): Promise<ReadonlyMap<string, string>> {
  const hrefs = new Map<string, string>();
  for (const item of leavesOf(items)) {
    if ((item.kind !== 'picture' && item.kind !== 'page') || hrefs.has(hrefKey(item))) continue;
    const wide = (item.image.width / MM_PER_INCH) * ppi * 2;
    const href = item.kind === 'picture' ? await pictureHref(desk, item, wide) : await pageHref(desk, item, wide);
    if (href) hrefs.set(hrefKey(item), href);
  }
  return hrefs;
}

async function pictureHref(
  desk: Desk,
  item: Extract<Item, { kind: 'picture' }>,
  wide: number,
): Promise<string | undefined> {
  const asset = pictureAsset(desk.job.assets, item.picture);
  const bytes = asset && (await desk.assets.get(item.picture));
  if (!asset || !bytes) return undefined;
  const share = Math.min(1, wide / asset.width);
  const size = {
    width: Math.max(1, Math.round(asset.width * share)),
    height: Math.max(1, Math.round(asset.height * share)),
  };
  // The drawing itself blurs what is blurred.
  const treatment = { ...treatmentOf(item, size), blur: undefined };
  const { data, type } = await screenImage(desk.profile, bytes, asset, size, treatment);
  return dataUrl(data, type);
}

async function pageHref(desk: Desk, item: Extract<Item, { kind: 'page' }>, wide: number): Promise<string | undefined> {
  const bytes = await desk.assets.get(item.document);
  return bytes && dataUrl(await documentPage(bytes, item, Math.min(Math.ceil(wide), 2400)), 'image/png');
}

const dataUrl = (data: Uint8Array, type: string): string =>
  `data:${type};base64,${Buffer.from(data).toString('base64')}`;

/** A bare side by its outline, panels and lines, for the board. */
export async function blankPng(surface: BlankSurface): Promise<Uint8Array> {
  const { Resvg } = await import('@resvg/resvg-js');
  const svg = blankPicture(surface, { width: 240, height: 240 });
  return new Resvg(svg, { fitTo: { mode: 'width', value: 480 }, font: { loadSystemFonts: false } }).render().asPng();
}

type Asset = NonNullable<ReturnType<typeof pictureAsset>>;

/** A picture as the paper will show it: a JPEG, or a PNG where it is partly transparent. */
export async function screenImage(
  profile: Desk['profile'],
  bytes: Uint8Array,
  asset: Asset,
  size: PictureUse['size'],
  treatment: Treatment = {},
): Promise<{ readonly data: Buffer; readonly type: 'image/jpeg' | 'image/png' }> {
  const { rgb, alpha, ...grown } = await screenPicture(bytes, asset, size, profile.pictures(), treatment);
  const image = sharp(rgb, { raw: { ...grown, channels: 3 } });
  if (!alpha)
    return { data: await image.jpeg({ quality: 90, chromaSubsampling: '4:4:4' }).toBuffer(), type: 'image/jpeg' };
  const whole = image.joinChannel(Buffer.from(alpha), { raw: { ...grown, channels: 1 } });
  return { data: await whole.png({ compressionLevel: 3 }).toBuffer(), type: 'image/png' };
}

/** Width and height of a PNG, as its head says them (ISO/IEC 15948, 11.2.2). */
export function pngAsset(png: Uint8Array): PictureAsset {
  const view = new DataView(png.buffer, png.byteOffset, png.byteLength);
  const [width, height] = [view.getUint32(16), view.getUint32(20)];
  return { kind: 'picture', name: 'side.png', format: 'png', width, height, colour: 'rgb', profile: null, alpha: true };
}
