import { elementsOn, withSide, type Element, type Job, withPiece } from '../job';
import { apply, centreOf, placed, type Matrix, type Rect } from '../layout';
import { freshId } from './new-element';
import type { DrawnJob } from './drawn-job';
import { elementKind } from '../element';

/** The degrees, scale and side that a copy’s map turns by; maps of repeats are turns, scales and mirror images. */
function partsOf([a, b, c, d]: Matrix): {
  readonly degrees: number;
  readonly scale: number;
  readonly mirrored: boolean;
} {
  const scale = Math.hypot(a, b);
  const mirrored = a * d - b * c < 0;
  // A mirror image across an upright line turns the other way.
  const degrees = (Math.atan2(mirrored ? -b : b, mirrored ? -a : a) * 180) / Math.PI;
  return { degrees, scale, mirrored };
}

/** A repeated element as plain elements, each where its copy stood. */
export function frozenCopies(desk: DrawnJob, element: Element): { readonly job: Job; readonly ids: readonly string[] } {
  const { drawing, job, piece, surface } = desk;
  const { boxes } = drawing;
  const frame = drawing.frames.find((f) => f.element === element.id);
  if (!frame) return { job, ids: [element.id] };
  const { against, rotate, shear } = element.placement;
  const copies = frame.copies.map((copy, i): Element => {
    if (i === 0) return { ...element, repeat: [] };
    const { degrees, scale, mirrored } = partsOf(copy);
    const middle = apply(copy, centreOf(frame.rect));
    const [width, height] = [frame.rect.width * scale, frame.rect.height * scale];
    const rect: Rect = { x: middle.x - width / 2, y: middle.y - height / 2, width, height };
    const turn = degrees + (mirrored ? -rotate : rotate);
    const own = mirrored ? elementKind(element.kind).flipped(element) : element;
    return {
      ...own,
      id: freshId(),
      repeat: [],
      placement: {
        ...placed(rect, against, boxes),
        rotate: Math.round((turn % 360) * 1e6) / 1e6,
        shear: mirrored ? -shear : shear,
      },
    };
  });
  const elements = elementsOn(piece, surface.name).flatMap((e) => (e.id === element.id ? copies : [e]));
  return {
    job: withPiece(job, withSide(piece, surface.name, elements)),
    ids: copies.map((c) => c.id),
  };
}
