import { createHash } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import { effectivePpi } from '../core/compose';
import { itemsOf, leavesOf, type PictureItem } from '../core/drawing';
import { pictureAsset, type Job, type PictureAsset } from '../core/job';
import type { PdfRequest } from '../paint/pdf';
import type { EncodedPicture } from '../paint/pdf';
import { CannotExport } from './cannot-export';
import type { Desk } from './desk';
import type { Progress } from './export';
import { sentSize, type PictureSize, type Treatment } from './pictures';
import { readSrgb } from './profiles';
import { documentsOf, masksOf } from './request-parts';
import { loadSubsetter } from './subset-font';

/** What every PDF of a job needs, whatever it shows: fonts, soft masks, documents of other people. */
export async function commonParts(desk: Desk): Promise<Omit<PdfRequest, 'pages' | 'purpose' | 'metadata' | 'profile' | 'picture'>> {
  const subset = await loadSubsetter();
  const { fonts } = desk;
  return {
    font: (key) => fonts.set.file(key),
    fontName: (key) => fonts.postscript(key),
    subset: (key, gids) => subset(fonts.bytes(key), gids),
    deflate: (bytes) => deflateSync(bytes),
    srgb: await readSrgb(),
    softMask: await masksOf(desk),
    document: await documentsOf(desk),
  };
} // prettier-ignore

/** Sixteen bytes that are the same for the same job, moment and kind of file. */
export const fileId = (job: Job, at: Date, kind: string): string =>
  createHash('sha256')
    .update(JSON.stringify([kind, at.toISOString(), job]))
    .digest('hex')
    .slice(0, 32);

/** A use of a picture at a size; the same picture at the same size is encoded once. */
export interface PictureUse {
  readonly asset: PictureAsset;
  readonly sha: string;
  readonly size: PictureSize;
  readonly treatment: Treatment;
}

const keyOf = ({ sha, size, treatment }: PictureUse) =>
  `${sha}/${size.width}x${size.height}/${JSON.stringify(treatment)}`;

/** What a picture’s frame does to pixels of a size. */
export const treatmentOf = (item: PictureItem, size: PictureSize): Treatment => ({
  adjust: item.adjust,
  // In steps of a hundredth of a pixel, so that equal blurs are one.
  blur: item.blur === undefined ? undefined : Math.round((item.blur / item.image.width) * size.width * 100) / 100,
});

/** Encodes every picture that the sides use, and answers for each item which encoding is its own. */
export async function encodePictures(
  desk: Desk,
  needed: (rulesPpi: number) => number,
  encode: (bytes: Uint8Array, use: PictureUse) => Promise<EncodedPicture>,
  progress: Progress,
): Promise<(item: PictureItem) => EncodedPicture> {
  const uses = new Map<string, PictureUse>();
  const byItem = new Map<PictureItem, string>();
  for (const { drawing, rules } of desk.sides) {
    for (const item of leavesOf(itemsOf(drawing))) {
      const asset = item.kind === 'picture' ? pictureAsset(desk.job.assets, item.picture) : undefined;
      if (item.kind !== 'picture' || !asset) continue;
      const size = sentSize(asset, effectivePpi(item.image, asset), needed(rules.ppi.value));
      const use = { asset, sha: item.picture, size, treatment: treatmentOf(item, size) };
      uses.set(keyOf(use), use);
      byItem.set(item, keyOf(use));
    }
  }
  const encoded = new Map<string, EncodedPicture>();
  for (const [key, use] of uses) {
    progress(encoded.size / uses.size, `Converting ${use.asset.name}`);
    const bytes = await desk.assets.get(use.sha);
    if (!bytes) throw new CannotExport(`The picture “${use.asset.name}” is missing. Bring it in again.`);
    encoded.set(key, await encode(bytes, use));
  }
  return (item) => {
    const found = encoded.get(byItem.get(item) ?? '');
    if (!found) throw new Error('A picture was not encoded.');
    return found;
  };
}
