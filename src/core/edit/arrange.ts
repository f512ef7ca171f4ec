import type { Job } from '../job';
import { alignTo, distribute, type Edge, type Rect } from '../layout';
import { placeAt } from './gestures';
import { withElements } from './on-side';
import type { DrawnJob } from './drawn-job';

/** What things are aligned against. */
export type Reference = { readonly box: 'trim' | 'safe' | 'bleed' } | { readonly element: string };

function rectOfReference(desk: DrawnJob, reference: Reference): Rect {
  const { trim } = desk.drawing.boxes;
  if ('box' in reference) return desk.drawing.boxes[reference.box];
  return desk.drawing.frames.find((f) => f.element === reference.element)?.rect ?? trim;
}

/** The job with the selection aligned to an edge or the centre of the reference. */
export function alignSelection(desk: DrawnJob, ids: readonly string[], reference: Reference, edge: Edge): Job {
  const to = rectOfReference(desk, reference);
  const rects = new Map(desk.drawing.frames.map((f) => [f.element, f.rect]));
  return withElements(desk.job, desk.surface.name, (element) => {
    const rect = rects.get(element.id);
    const isReference = 'element' in reference && reference.element === element.id;
    return rect && ids.includes(element.id) && !isReference
      ? placeAt(element, alignTo(rect, to, edge), desk.drawing.boxes)
      : element;
  });
}

/** The job with equal gaps between the selected; within the reference, or between the outermost two. */
export function distributeSelection(
  desk: DrawnJob,
  ids: readonly string[],
  axis: 'x' | 'y',
  reference: Reference | undefined,
): Job {
  const frames = desk.drawing.frames.filter((f) => ids.includes(f.element));
  const within = reference && rectOfReference(desk, reference);
  const { rects } = distribute(
    frames.map((f) => f.rect),
    axis,
    within,
  );
  const moved = new Map(frames.map((f, i) => [f.element, rects[i]]));
  return withElements(desk.job, desk.surface.name, (element) => {
    const rect = moved.get(element.id);
    return rect ? placeAt(element, rect, desk.drawing.boxes) : element;
  });
}
