import { Element, LONGEST_NAME, type ElementInput } from '../element';
import type { PictureAsset } from '../job';
import { landed, landingOnBare, placed, type Landing, type SurfaceBoxes } from '../layout';
import { naturalSize } from './fit-picture';

/** The share of its room that something brought in takes at most, on each axis [own]. */
const MOST = 0.6;

/** Where what is brought in stands: at its size or less, where there is room for it. */
function broughtIn(
  size: { readonly width: number; readonly height: number },
  boxes: SurfaceBoxes,
  landing: Landing,
): ElementInput['placement'] {
  const { room, against } = landing;
  const share = Math.min(1, (room.width * MOST) / size.width, (room.height * MOST) / size.height);
  return placed(landed(landing, { width: size.width * share, height: size.height * share }), against, boxes);
}

/** A file’s name without its kind, no longer than an element’s may be. */
export const plainName = (file: string): string => file.replace(/\.\w+$/, '').slice(0, LONGEST_NAME);

/**
 * A frame for a picture: the first picture on an empty side fills it to the bleed, others come at their size or less.
 */
export function pictureFrame(
  id: string,
  sha: string,
  asset: PictureAsset,
  boxes: SurfaceBoxes,
  isFirst: boolean,
  ppi: number,
  landing = landingOnBare(boxes, 1 / 2),
): Element {
  const whole = { start: 0, end: 0 };
  const placement = isFirst
    ? ({ against: { box: 'trim' }, x: whole, y: whole } as const)
    : broughtIn(naturalSize(asset, ppi), boxes, landing);
  return Element.parse({ kind: 'picture', id, name: plainName(asset.name), placement, picture: sha });
}

/** A drawing or a page of a document, as it was brought in. */
export function artElement(
  id: string,
  sha: string,
  asset: { readonly kind: 'drawing' | 'document'; readonly name: string },
  size: { readonly width: number; readonly height: number },
  boxes: SurfaceBoxes,
  landing = landingOnBare(boxes, 1 / 2),
): Element {
  const common = { id, name: plainName(asset.name), placement: broughtIn(size, boxes, landing) };
  return Element.parse(
    asset.kind === 'drawing' ? { kind: 'vector', ...common, drawing: sha } : { kind: 'page', ...common, document: sha },
  );
}
