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

/** How a picture is put into a file. */
export interface Encoding {
  /** The resolution that a job needs, and what the file takes of it. */
  readonly needed: (rulesPpi: number) => number;
  readonly encode: (bytes: Uint8Array, use: PictureUse) => Promise<EncodedPicture>;
}

/** Encodes every picture that the sides use, and answers for each item which encoding is its own. */
export async function encodePictures(
  desk: Desk,
  needed: Encoding['needed'],
  encode: Encoding['encode'],
  progress: Progress,
): Promise<(item: PictureItem) => EncodedPicture> {
  const shelf = new PictureShelf(desk, { needed, encode });
  await shelf.take(desk.sides, progress);
  return shelf.picture;
}

/** Encoded pictures of copies that come one after the other are kept up to so much, bytes. */
const KEPT = 32 * 1024 * 1024;

/** Pictures as a file takes them: those of the sides that are being written. */
export class PictureShelf {
  private readonly encoded = new Map<string, EncodedPicture>();
  /** Which use of a picture an item is: of the sides that are written, and of those that all copies have. */
  private useOf = new Map<string, string>();
  private held: ReadonlyMap<string, string> = new Map();

  constructor(
    private readonly desk: Desk,
    private readonly how: Encoding,
  ) {}

  /** Encodes what some sides show and is not here yet. What others showed goes, where it is too much to keep. */
  async take(sides: Desk['sides'], progress: Progress = () => undefined): Promise<void> {
    const { desk, how } = this;
    const uses = new Map<string, PictureUse>();
    this.useOf = new Map(this.held);
    for (const { drawing, rules } of sides) {
      for (const item of leavesOf(itemsOf(drawing))) {
        const use = item.kind === 'picture' ? pictureUse(desk.job, item, how.needed(rules.ppi.value)) : undefined;
        if (item.kind !== 'picture' || !use) continue;
        uses.set(keyOfUse(use), use);
        // Of two pieces that need it differently fine, the finer serves both.
        const before = uses.get(this.useOf.get(pictureKey(item)) ?? '');
        if (!before || before.size.width < use.size.width) this.useOf.set(pictureKey(item), keyOfUse(use));
      }
    }
    if (uses.size === 0) return;
    this.clear(uses);
    let done = 0;
    for (const [key, use] of uses) {
      progress(done / uses.size, `Converting ${use.asset.name}`);
      done += 1;
      if (!this.encoded.has(key)) this.encoded.set(key, await how.encode(await pictureBytes(desk, use), use));
    }
  }

  /** Encodes what all copies show, and keeps it whatever comes after. */
  async hold(sides: Desk['sides']): Promise<void> {
    await this.take(sides);
    this.held = this.useOf;
  }

  /** The oldest go first. */
  private clear(wanted: ReadonlyMap<string, unknown>): void {
    const kept = new Set(this.held.values());
    let held = [...this.encoded.values()].reduce((sum, { bytes }) => sum + bytes.length, 0);
    for (const [key, { bytes }] of this.encoded) {
      if (held <= KEPT) return;
      if (wanted.has(key) || kept.has(key)) continue;
      this.encoded.delete(key);
      held -= bytes.length;
    }
  }

  /** The encoding of an item of those sides; undefined for one of others. */
  find(item: PictureItem): EncodedPicture | undefined {
    return this.encoded.get(this.useOf.get(pictureKey(item)) ?? '');
  }

  readonly picture = (item: PictureItem): EncodedPicture => {
    const found = this.find(item);
    if (!found) throw new Error('A picture was not encoded.');
    return found;
  };
}
