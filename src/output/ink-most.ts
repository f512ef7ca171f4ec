import type { OpenProfile } from '../bring-in/profile';
import type { Adjust } from '../core/element';
import type { PictureAsset } from '../core/job';
import { inkPixels } from './pictures';

/** Longest side that a picture is looked at, pixels: what dries badly is an area and not a dot. */
const LONGEST = 480;
/** So much of a picture may have more: specks do not set off. */
const SPECKS = 0.001;

/** The most ink that lies on each other in a picture, percent, but for a thousandth of it. */
export async function inkMost(
  profile: OpenProfile,
  bytes: Uint8Array,
  asset: PictureAsset,
  adjust: Adjust | undefined,
): Promise<number> {
  const scale = Math.min(1, LONGEST / Math.max(asset.width, asset.height));
  const size = {
    width: Math.max(1, Math.round(asset.width * scale)),
    height: Math.max(1, Math.round(asset.height * scale)),
  };
  const { space, pixels, alpha } = await inkPixels(bytes, asset, size, profile.pictures(), { adjust });
  const plates = space === 'grey' ? 1 : 4;
  const counts = new Uint32Array(plates * 255 + 1);
  let seen = 0;
  for (let i = 0; i * plates < pixels.length; i += 1) {
    if ((alpha?.[i] ?? 255) < 128) continue;
    let total = 0;
    for (let ink = 0; ink < plates; ink += 1) total += pixels[i * plates + ink] ?? 0;
    counts[total] = (counts[total] ?? 0) + 1;
    seen += 1;
  }
  let left = seen * SPECKS;
  let most = counts.length - 1;
  while (most > 0 && (left -= counts[most] ?? 0) >= 0) most -= 1;
  return most / 2.55;
}
