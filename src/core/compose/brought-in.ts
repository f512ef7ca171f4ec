import { Element, LONGEST_NAME, type ElementInput } from '../element';
import type { PictureAsset } from '../job';
import { centredOn, placed, type Point, type SurfaceBoxes } from '../layout';
import { naturalSize } from './fit-picture';

/** Where what is brought in stands: over the whole side as its first picture, or at its size or less. */
function broughtIn(
  size: { readonly width: number; readonly height: number },
  boxes: SurfaceBoxes,
  at: Point | undefined,
): ElementInput['placement'] {
  const share = Math.min(1, (boxes.safe.width * 0.6) / size.width, (boxes.safe.height * 0.6) / size.height);
  const middle = at ?? { x: boxes.safe.x + boxes.safe.width / 2, y: boxes.safe.y + boxes.safe.height / 2 };
  return placed(centredOn(middle, size.width * share, size.height * share), { box: 'safe' }, boxes);
}

/** A file’s name without its kind. */
export /** A file may be called longer than an element. */
const plainName = (file: string): string => file.replace(/\.\w+$/, '').slice(0, LONGEST_NAME);

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
  at?: Point,
): Element {
  const whole = { start: 0, end: 0 };
  const placement = isFirst
    ? ({ against: { box: 'trim' }, x: whole, y: whole } as const)
    : broughtIn(naturalSize(asset, ppi), boxes, at);
  return Element.parse({ kind: 'picture', id, name: plainName(asset.name), placement, picture: sha });
}

/** A drawing or a page of a document, as it was brought in. */
export function artElement(
  id: string,
  sha: string,
  asset: { readonly kind: 'drawing' | 'document'; readonly name: string },
  size: { readonly width: number; readonly height: number },
  boxes: SurfaceBoxes,
  at?: Point,
): Element {
  const common = { id, name: plainName(asset.name), placement: broughtIn(size, boxes, at) };
  return Element.parse(
    asset.kind === 'drawing' ? { kind: 'vector', ...common, drawing: sha } : { kind: 'page', ...common, document: sha },
  );
}
