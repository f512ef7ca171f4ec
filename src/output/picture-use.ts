import { effectivePpi } from '../core/compose';
import type { PictureItem } from '../core/drawing';
import { pictureAsset, type Job, type PictureAsset } from '../core/job';
import { CannotExport } from './cannot-export';
import type { Desk } from './desk';
import { sentSize, type Treatment } from './pictures';
import { type PictureSize } from './picture-size';

/** A use of a picture at a size; the same picture at the same size is encoded once. */
export interface PictureUse {
  readonly asset: PictureAsset;
  readonly sha: string;
  readonly size: PictureSize;
  readonly treatment: Treatment;
}

export const keyOfUse = ({ sha, size, treatment }: PictureUse) =>
  `${sha}/${size.width}x${size.height}/${JSON.stringify(treatment)}`;

/** What a picture’s frame does to pixels of a size. */
export const treatmentOf = (item: PictureItem, size: PictureSize): Treatment => ({
  adjust: item.adjust,
  // In steps of a hundredth of a pixel, so that equal blurs are one.
  blur: item.blur === undefined ? undefined : Math.round((item.blur / item.image.width) * size.width * 100) / 100,
});

/**
 * Pixels to the standard deviation of a blur: a Gaussian has nothing finer to show, and every pixel costs as many
 * again.
 */
const PER_SIGMA = 16;

/** The size at which a picture that is blurred is worked on: no finer than its blur shows. */
function softened(size: PictureSize, { blur, image }: PictureItem): PictureSize {
  if (blur === undefined) return size;
  const share = Math.min(1, (PER_SIGMA * image.width) / (blur * size.width));
  const least = (pixels: number) => Math.min(pixels, Math.max(2, Math.ceil(pixels * share)));
  return { width: least(size.width), height: least(size.height) };
}

/** How a picture is used by an item at a resolution; undefined when the job does not know the picture. */
export function pictureUse(job: Job, item: PictureItem, neededPpi: number): PictureUse | undefined {
  const asset = pictureAsset(job.assets, item.picture);
  if (!asset) return undefined;
  const size = softened(sentSize(asset, effectivePpi(item.image, asset), neededPpi), item);
  return { asset, sha: item.picture, size, treatment: treatmentOf(item, size) };
}

/** Bytes of a picture. @throws CannotExport when they are gone */
export async function pictureBytes(desk: Pick<Desk, 'assets'>, { sha, asset }: PictureUse): Promise<Uint8Array> {
  const bytes = await desk.assets.get(sha);
  if (!bytes) throw new CannotExport(`The picture “${asset.name}” is missing. Bring it in again.`);
  return bytes;
}
