import 'server-only';
import { elementsOf, pictureAsset, type Adjust, type Asset, type Job } from '@/core/job';
import type { Rgb } from '@/core/colour';
import type { ProfileName } from '@/core/shop';
import type { Finding } from '@/core/check';
import {
  checkDesk,
  openDesk,
  openOutputProfile,
  blankPng,
  paletteOf,
  pixelOf,
  previewPng,
  screenImage,
} from '@/output';
import { readSvg } from '@/bring-in/svg';
import type { VectorArt } from '@/core/shape';
import { assetFacts, assetStore, cached, sha256 } from './assets';
import { documentPagePng } from './documents';
import { Problem } from './problem';
import { revision } from './jobs';

/** Longest side of a picture on the bench, pixels. */
const BENCH_PIXELS = 1600;

/** A picture as the paper will show it, for the bench; made once and kept. */
export async function benchPicture(
  sha: string,
  profileName: ProfileName,
  adjust: Adjust | undefined,
): Promise<{ readonly bytes: Uint8Array; readonly type: 'image/jpeg' | 'image/png' }> {
  const asset: Asset = await assetFacts(sha);
  const facts = pictureAsset({ [sha]: asset }, sha);
  if (!facts) throw new Problem(404, 'This is not a picture.', 'Bring the picture in again.');
  const type = facts.alpha || adjust?.clear ? 'image/png' : 'image/jpeg';
  const bytes = await cached(
    `${sha}-${profileName}-${BENCH_PIXELS}${adjust ? `-${sha256(new TextEncoder().encode(JSON.stringify(adjust))).slice(0, 16)}` : ''}`,
    async () => {
      const bytes = await assetStore.get(sha);
      if (!bytes) throw new Problem(404, 'The picture’s file is gone.', 'Bring the picture in again.');
      const share = Math.min(1, BENCH_PIXELS / Math.max(facts.width, facts.height));
      const size = {
        width: Math.max(1, Math.round(facts.width * share)),
        height: Math.max(1, Math.round(facts.height * share)),
      };
      return (await screenImage(await openOutputProfile(profileName), bytes, facts, size, { adjust })).data;
    },
  );
  return { bytes, type };
}

/** The colours that make up a picture, or that of one of its pixels, in sRGB. */
export async function pictureColours(sha: string, at: readonly [number, number] | undefined): Promise<readonly Rgb[]> {
  if (at && !at.every(Number.isFinite)) throw new Problem(400, 'A place in the picture is wanted.', 'Reload the page.');
  if (!pictureAsset({ [sha]: await assetFacts(sha) }, sha)) throw new Problem(404, 'This is not a picture.', 'Bring the picture in again.');
  const bytes = await assetStore.get(sha);
  if (!bytes) throw new Problem(404, 'The picture’s file is gone.', 'Bring the picture in again.');
  return at ? [await pixelOf(bytes, ...at)] : paletteOf(bytes);
} // prettier-ignore

/** A drawing that was brought in, as paths. */
export async function drawingArt(sha: string): Promise<VectorArt> {
  const bytes = await assetStore.get(sha);
  const read = bytes && readSvg(new TextDecoder().decode(bytes));
  if (!read?.ok) throw new Problem(404, 'This drawing is not here.', 'Bring it in again.');
  return read.art;
}

/** A page of a document for the bench; made once and kept. */
export async function benchPage(sha: string, page: number): Promise<Uint8Array> {
  const asset = await assetFacts(sha);
  if (asset.kind !== 'document' || page > asset.pages.length)
    throw new Problem(404, 'There is no such page.', 'Choose another page of the PDF.');
  return cached(`${sha}-page-${page}-${BENCH_PIXELS}.png`, async () => {
    const bytes = await assetStore.get(sha);
    if (!bytes) throw new Problem(404, 'The PDF’s file is gone.', 'Bring it in again.');
    return documentPagePng(bytes, page, BENCH_PIXELS);
  });
}

/** The front of a job, small, for the board. */
export async function thumbnail(id: string, number: number): Promise<Uint8Array> {
  return cached(`thumb-${id}-${number}.png`, async () => {
    const job = await revision(id, number);
    const desk = await openDesk(job, assetStore);
    const [front] = desk.sides;
    if (!front) throw new Problem(404, 'This job has no side to show.', 'Open it and set its size.');
    // What nobody laid anything on yet is told by its shape, its folds and its lines.
    const isBare = job.pieces.every((piece) => elementsOf(piece).length === 0);
    return isBare ? blankPng(front.surface) : previewPng(desk, front, 480);
  });
}

/** What stands in a job’s way, for the board. */
export async function findingsOf(id: string, number: number): Promise<readonly Finding[]> {
  const text = await cached(`checks-${id}-${number}.json`, async () => {
    const job: Job = await revision(id, number);
    return new TextEncoder().encode(JSON.stringify(checkDesk(await openDesk(job, assetStore))));
  });
  return JSON.parse(new TextDecoder().decode(text)) as readonly Finding[];
}
