import type { Clip, Note } from '../drawing';
import type { Element } from '../element';
import { IDENTITY, mapPath, pose, positive, type SurfaceBoxes } from '../layout';
import { reachOf } from './element';
import { outlineOf } from './shape';
import type { Composed } from './context';

/** An element seen only inside a shape of the same side. */
export function withClip(
  made: Composed,
  element: Element,
  elements: readonly Element[],
  boxes: SurfaceBoxes,
): Composed {
  const shape = elements.find((e) => e.id === element.clipTo);
  const placed = shape && boxes.placed[shape.id];
  if (shape?.kind !== 'shape' || !placed) {
    const note: Note = { kind: 'missing-clip', element: element.id };
    return { ...made, notes: [...made.notes, note] };
  }
  const rect = positive(placed);
  const { rotate, shear } = shape.placement;
  const reach = reachOf(shape, rect, IDENTITY, boxes);
  const path = mapPath(outlineOf(shape, { rect, reach, matrix: IDENTITY }, { boxes }), pose(rect, rotate, shear));
  const clip: Clip = { path, rule: shape.shape.form === 'path' ? shape.shape.rule : 'nonzero' };
  return { ...made, frame: { ...made.frame, items: made.frame.items.map((item) => ({ ...item, clip })) } };
}
