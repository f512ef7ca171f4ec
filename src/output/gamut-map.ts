import sharp from 'sharp';
import type { OpenProfile } from '../bring-in/profile';
import { GAMUT_TOLERANCE, compensated, deltaE2000, type Lab } from '../core/colour';
import type { PictureAsset } from '../core/job';
import type { Adjust } from '../core/element';
import { pictureRgb } from './pictures';

/** Longest side of a map, pixels. */
const LONGEST = 360;
/** From here on the map is at its reddest, CIEDE2000. */
const FAR = 15;

/** What of a picture a paper cannot show, and how far it moves. */
export interface GamutMap {
  /** PNG with the picture’s proportions: clear where it is shown, amber to red where it is not. */
  readonly png: Uint8Array;
  /** Share of the picture that is outside. */
  readonly share: number;
  /** The furthest that a pixel moves, CIEDE2000. */
  readonly worst: number;
}

/**
 * Where a picture is outside the gamut of an output profile: pixels that move by more than the tolerance, even allowing
 * for the paper’s darkest black. A CMYK picture is inside by its nature.
 */
export async function gamutMap(
  profile: OpenProfile,
  bytes: Uint8Array,
  asset: PictureAsset,
  adjust: Adjust | undefined,
): Promise<GamutMap> {
  const scale = Math.min(1, LONGEST / Math.max(asset.width, asset.height));
  const size = {
    width: Math.max(1, Math.round(asset.width * scale)),
    height: Math.max(1, Math.round(asset.height * scale)),
  };
  const converter = profile.pictures();
  const { rgb, alpha } = await pictureRgb(bytes, asset, size, converter, { adjust });
  const count = size.width * size.height;
  const [wanted, printed] = [converter.rgbToLab(rgb), converter.cmykToLab(converter.rgbToCmyk(rgb))];
  const black = profile.engine.buildLab(profile.engine.toBuild({ r: 0, g: 0, b: 0 })).L;
  const labAt = (of: Float32Array, i: number): Lab => ({
    L: of[i * 3] ?? 0,
    a: of[i * 3 + 1] ?? 0,
    b: of[i * 3 + 2] ?? 0,
  });
  const out = new Uint8Array(count * 4);
  let outside = 0;
  let seen = 0;
  let worst = 0;
  for (let i = 0; i < count; i += 1) {
    const opaque = alpha?.[i] ?? 255;
    if (opaque < 128) continue;
    seen += 1;
    const moved = deltaE2000(compensated(labAt(wanted, i), black), labAt(printed, i));
    if (moved <= GAMUT_TOLERANCE) continue;
    outside += 1;
    worst = Math.max(worst, moved);
    const far = Math.min(1, (moved - GAMUT_TOLERANCE) / (FAR - GAMUT_TOLERANCE));
    out.set([255, Math.round(190 * (1 - far)), 0, Math.round(150 + 105 * far)], i * 4);
  }
  const png = await sharp(out, { raw: { ...size, channels: 4 } })
    .png()
    .toBuffer();
  return { png, share: seen > 0 ? outside / seen : 0, worst };
}
