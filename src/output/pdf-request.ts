import { createHash } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import { itemsOf, leavesOf, pictureKey, type PictureItem } from '../core/drawing';
import type { Job } from '../core/job';
import type { PdfRequest } from '../paint/pdf';
import type { EncodedPicture } from '../paint/pdf';
import type { Desk } from './desk';
import type { Progress } from './file';
import { pictureBytes, pictureUse, keyOfUse, type PictureUse } from './picture-use';
import { readSrgb } from './profiles';
import { documentsOf, masksOf } from './request-parts';
import { loadSubsetter } from './subset-font';

/** What every PDF of a job needs, whatever it shows: fonts, soft masks, documents of other people. */
export async function commonParts(
  desk: Desk,
): Promise<Omit<PdfRequest, 'pages' | 'purpose' | 'metadata' | 'profile' | 'picture'>> {
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
}

/** Sixteen bytes that are the same for the same job, moment and kind of file. */
export const fileId = (job: Job, at: Date, kind: string): string =>
  createHash('sha256')
    .update(JSON.stringify([kind, at.toISOString(), job]))
    .digest('hex')
    .slice(0, 32);

/** Encodes every picture that the sides use, and answers for each item which encoding is its own. */
export async function encodePictures(
  desk: Desk,
  needed: (rulesPpi: number) => number,
  encode: (bytes: Uint8Array, use: PictureUse) => Promise<EncodedPicture>,
  progress: Progress,
): Promise<(item: PictureItem) => EncodedPicture> {
  const uses = new Map<string, PictureUse>();
  const useOf = new Map<string, string>();
  for (const { drawing, rules } of desk.sides) {
    for (const item of leavesOf(itemsOf(drawing))) {
      const use = item.kind === 'picture' ? pictureUse(desk.job, item, needed(rules.ppi.value)) : undefined;
      if (item.kind !== 'picture' || !use) continue;
      uses.set(keyOfUse(use), use);
      // Of two pieces that need it differently fine, the finer serves both.
      const before = uses.get(useOf.get(pictureKey(item)) ?? '');
      if (!before || before.size.width < use.size.width) useOf.set(pictureKey(item), keyOfUse(use));
    }
  }
  const encoded = new Map<string, EncodedPicture>();
  for (const [key, use] of uses) {
    progress(encoded.size / uses.size, `Converting ${use.asset.name}`);
    encoded.set(key, await encode(await pictureBytes(desk, use), use));
  }
  return (item) => {
    const found = encoded.get(useOf.get(pictureKey(item)) ?? '');
    if (!found) throw new Error('A picture was not encoded.');
    return found;
  };
}
