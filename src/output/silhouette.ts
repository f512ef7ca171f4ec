import sharp from 'sharp';
import type { Item } from '../core/drawing';
import type { Desk } from './desk';
import { pictureBytes, pictureUse } from './picture-use';
import { pictureRgb } from './pictures';

/** What a silhouette is asked of. */
export type SilhouetteDesk = Pick<Desk, 'assets' | 'job' | 'profile'>;

type PictureItem = Extract<Item, { kind: 'picture' }>;

/**
 * What of a picture is opaque, as a white PNG with that opacity. A colour is cleared at the resolution at which the
 * picture is sent, and by the same colours: what is told apart there is told apart here.
 * @param ppi  resolution the job needs
 * @param wide pixels that are enough across
 * @returns undefined when the job does not know the picture
 */
export async function silhouettePng(
  desk: SilhouetteDesk,
  item: PictureItem,
  ppi: number,
  wide: number,
): Promise<Uint8Array | undefined> {
  const use = pictureUse(desk.job, item, ppi);
  if (!use) return undefined;
  const { width, height } = use.size;
  const adjust = use.treatment.adjust;
  const bytes = await pictureBytes(desk, use);
  const { alpha } = await pictureRgb(bytes, use.asset, use.size, desk.profile.pictures(), { adjust });
  const out = new Uint8Array(width * height * 4).fill(255);
  alpha?.forEach((a, i) => (out[i * 4 + 3] = a));
  const image = sharp(out, { raw: { width, height, channels: 4 } });
  return (wide < width ? image.resize(Math.max(1, wide)) : image).png({ compressionLevel: 1 }).toBuffer();
}
