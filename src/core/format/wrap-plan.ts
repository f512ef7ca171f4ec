import type { Size } from '../paper';
import type { FormatContext, Plan } from './format';
import { isScored, type CreaseChoice } from './folded-sheet';
import { panelRow, type RowPanel } from './panel-row';
import { otherFace, type Face } from './sides';

/** A wrap of panels in a row, printed outside and, where wanted, inside. */
export function wrapPlan(
  row: readonly RowPanel[],
  height: number,
  finished: Size,
  crease: CreaseChoice,
  context: FormatContext,
  { inside = true, fixed = 0, extra = {} }: { inside?: boolean; fixed?: number; extra?: Face } = {},
): Plan {
  const process = isScored(crease, context) ? 'score' : 'fold';
  const { panels, creases, folding, width, figure } = panelRow(row, height, process, context, { fixed });
  const flat = { width, height };
  const face: Face = {
    ...extra,
    panels,
    processLines: [...creases, ...(extra.processLines ?? [])],
    zones: extra.zones ?? [],
  };
  return {
    finished,
    flat,
    surfaces: [
      { name: 'outside', size: flat, ...face },
      ...(inside ? [{ name: 'inside', size: flat, ...otherFace(face, width) }] : []),
    ],
    folding,
    figures: [figure],
  };
}
