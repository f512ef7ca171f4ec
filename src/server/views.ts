import 'server-only';
import type { Rgb } from '@/core/colour';
import { standingOf, type Finding } from '@/core/check';
import { TRACED_BY } from '@/core/finish';
import { pictureAsset, type Adjust, type PictureAsset } from '@/core/job';
import { EDGE_NAMES, type EdgeLengths } from '@/core/layout';
import type { Rows } from '@/core/records';
import type { VectorArt } from '@/core/shape';
import type { GamutMap, Traced } from '@/output';
import { ask, type Asking } from './ask';
import { assetFacts, cached, sha256 } from './assets';
import { keepStanding, packedRevision } from './jobs';
import { missing, unclear } from './problems';

/** Who asks, and whether what was stopped is tried again. */
export type By = Omit<Asking, 'key'>;

/** The request that asks for a view: its address may want what was stopped tried again. */
export const by = (request: Request): By => ({
  signal: request.signal,
  again: new URL(request.url).searchParams.get('again') === '1',
});

/** What is known of a picture. @throws Problem when it is not one */
async function pictureFacts(sha: string): Promise<PictureAsset> {
  const facts = pictureAsset({ [sha]: await assetFacts(sha) }, sha);
  if (!facts) throw missing.picture();
  return facts;
}

const keyOf = (...parts: readonly unknown[]): string => JSON.stringify(parts);

/** Longest side of a picture on the bench, pixels. */
const BENCH_PIXELS = 1600;

interface Wish {
  readonly sha: string;
  readonly conversion: string;
  readonly adjust: Adjust | undefined;
}

/** A picture as the paper will show it, for the bench; made once and kept. */
export async function benchPicture(
  wish: Wish,
  by: By,
): Promise<{ readonly bytes: Uint8Array; readonly type: 'image/jpeg' | 'image/png' }> {
  const { sha, conversion, adjust } = wish;
  const facts = await pictureFacts(sha);
  const adjusted = adjust ? `-${sha256(new TextEncoder().encode(JSON.stringify(adjust))).slice(0, 16)}` : '';
  const key = `${sha}-${conversion}-${BENCH_PIXELS}${adjusted}`;
  const bytes = await cached(key, () => ask('benchPicture', { ...wish, facts, pixels: BENCH_PIXELS }, { ...by, key }));
  return { bytes, type: facts.alpha || adjust?.clear ? 'image/png' : 'image/jpeg' };
}

/** Widest that the inks of a picture are given out at, pixels. */
const WIDEST = 6000;

interface InkWish extends Wish {
  readonly width: number;
  /** Standard deviation, pixels of that width. */
  readonly blur: number;
}

/** The inks of a picture, as the press file has them, at a width: see `unpackInks`. */
export async function pictureInks(wish: InkWish, by: By): Promise<Uint8Array> {
  const { width, blur } = wish;
  if (!Number.isInteger(width) || width < 1 || width > WIDEST || !(blur >= 0 && blur <= 500))
    throw unclear.width(WIDEST);
  return ask('pictureInks', { ...wish, facts: await pictureFacts(wish.sha) }, { ...by, key: keyOf(wish) });
}

const isTraceable = (by: string | null): by is (typeof TRACED_BY)[number] =>
  (TRACED_BY as readonly (string | null)[]).includes(by);

/** The outlines of the shapes in a picture. @param threshold percent */
export async function pictureShapes(sha: string, told: string | null, threshold: number, by: By): Promise<Traced> {
  if (!isTraceable(told) || !(threshold > 0 && threshold < 100)) throw unclear.trace();
  await pictureFacts(sha);
  return ask('pictureShapes', { sha, by: told, threshold }, { ...by, key: keyOf(sha, told, threshold) });
}

/** What of a picture a paper cannot show. */
export const pictureGamut = async (wish: Wish, by: By): Promise<GamutMap> =>
  ask('pictureGamut', { ...wish, facts: await pictureFacts(wish.sha) }, { ...by, key: keyOf(wish) });

/** The most ink that lies on each other in a picture, percent. */
export const pictureInkMost = async (wish: Wish, by: By): Promise<number> =>
  ask('pictureInkMost', { ...wish, facts: await pictureFacts(wish.sha) }, { ...by, key: keyOf(wish) });

/** The colours that make up a picture, or that of one of its pixels, in sRGB. */
export async function pictureColours(
  sha: string,
  at: readonly [number, number] | undefined,
  by: By,
): Promise<readonly Rgb[]> {
  if (at && !at.every(Number.isFinite)) throw unclear.place();
  await pictureFacts(sha);
  return ask('pictureColours', { sha, at }, { ...by, key: keyOf(sha, at) });
}

/** The rows of a file of records. */
export async function dataRows(sha: string, by: By): Promise<{ readonly rows: Rows }> {
  if ((await assetFacts(sha)).kind !== 'data') throw missing.rows();
  return ask('dataRows', { sha }, { ...by, key: `rows ${sha}` });
}

/** A drawing that was brought in, as paths. */
export async function drawingArt(sha: string, by: By): Promise<VectorArt> {
  if ((await assetFacts(sha)).kind !== 'drawing') throw missing.drawing();
  return ask('drawingArt', { sha }, { ...by, key: sha });
}

/** A font that was brought in, as sfnt bytes. */
export async function fontFile(sha: string, by: By): Promise<Uint8Array> {
  if ((await assetFacts(sha)).kind !== 'font') throw missing.font();
  return cached(`${sha}.sfnt`, () => ask('fontFile', { sha }, { ...by, key: sha }));
}

/** A page of a document for the bench; made once and kept. */
export async function benchPage(
  sha: string,
  page: number,
  beyond: EdgeLengths | undefined,
  by: By,
): Promise<Uint8Array> {
  const asset = await assetFacts(sha);
  if (asset.kind !== 'document' || page < 1 || page > asset.pages.length) throw missing.page();
  const past = beyond ? `-${EDGE_NAMES.map((edge) => beyond[edge]).join('-')}` : '';
  const key = `${sha}-trim-${page}${past}-${BENCH_PIXELS}.png`;
  return cached(key, () => ask('benchPage', { sha, page, beyond, wide: BENCH_PIXELS }, { ...by, key }));
}

/** The front of a job, small, for the board. */
export const thumbnail = (id: string, number: number, by: By): Promise<Uint8Array> =>
  cached(`thumb-${id}-${number}.png`, async () => {
    const document = await packedRevision(id, number);
    return ask('thumbnail', { document }, { ...by, key: sha256(document) });
  });

/** What stands in a job’s way, for the board. */
export async function findingsOf(id: string, number: number, by: By): Promise<readonly Finding[]> {
  const text = await cached(`checks-${id}-${number}.json`, async () => {
    const document = await packedRevision(id, number);
    return Buffer.from(JSON.stringify(await ask('findings', { document }, { ...by, key: sha256(document) })));
  });
  const findings = JSON.parse(new TextDecoder().decode(text)) as readonly Finding[];
  await keepStanding(id, number, standingOf(findings));
  return findings;
}
