import { artMatrix, samePaint } from '../compose';
import { Element, elementsOn, withSide, type ElementOf, type Job, type SolidPaint, withPiece } from '../job';
import { mapPath, pathBounds, pathText, placed } from '../layout';
import { mmToPt } from '../measure';
import { type VectorArt } from '../shape';
import { freshId } from './new-element';
import type { DrawnJob } from './drawn-job';
import { asShares } from '../element';

/** A drawing taken apart: each of its shapes an element of its own, all in one group, where they stood. */
export function ungrouped(
  desk: DrawnJob,
  element: ElementOf<'vector'>,
  art: VectorArt,
): { readonly job: Job; readonly ids: readonly string[] } {
  const { job, piece, surface, drawing } = desk;
  const { boxes } = drawing;
  const rect = boxes.placed[element.id];
  if (!rect) return { job, ids: [element.id] };
  const set = artMatrix(rect, art, element.stretch);
  const scale = Math.sqrt(Math.abs(set[0] * set[3]));
  const colourOf = (paint: SolidPaint): SolidPaint =>
    element.recolour.find(({ from }) => samePaint(from, paint))?.to ?? paint;
  const group = element.group ?? freshId();
  const shapes = art.shapes.map((shape, i) => {
    const path = mapPath(shape.path, set);
    const bounds = pathBounds(path);
    return Element.parse({
      kind: 'shape',
      id: freshId(),
      name: `${element.name || 'Drawing'} ${i + 1}`,
      placement: placed(bounds, element.placement.against, boxes),
      layer: element.layer,
      group,
      opacity: shape.opacity * element.opacity,
      shape: { form: 'path', data: pathText(asShares(path, bounds)), rule: shape.rule },
      fill: shape.fill && colourOf(shape.fill),
      stroke: shape.stroke && {
        paint: colourOf(shape.stroke.paint),
        widthPt: Math.min(500, Math.max(0.01, mmToPt(shape.stroke.width * scale))),
        cap: shape.stroke.cap,
        join: shape.stroke.join,
        dash:
          shape.stroke.dash.length >= 2
            ? { onPt: mmToPt((shape.stroke.dash[0] ?? 1) * scale), offPt: mmToPt((shape.stroke.dash[1] ?? 1) * scale) }
            : 'solid',
        whole: false,
      },
    });
  });
  const elements = elementsOn(piece, surface.name).flatMap((e) => (e.id === element.id ? shapes : [e]));
  const groups = piece.groups.some((g) => g.id === group)
    ? piece.groups
    : [...piece.groups, { id: group, name: element.name || 'Drawing' }];
  const next = { ...withSide(piece, surface.name, elements), groups };
  return { job: withPiece(job, next), ids: shapes.map((s) => s.id) };
}
