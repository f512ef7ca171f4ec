import { z } from 'zod';
import { polygonPath, type Path, type Point, type Rect } from '../../geometry';
import type { Mm } from '../../measure';
import { Extent, extentOf } from '../length';
import { defineForm, fieldsOf } from './define';

const ENDS = ['flat', 'notched', 'pointed'] as const;
const RibbonEnd = z.enum(ENDS);
type RibbonEnd = z.infer<typeof RibbonEnd>;

const schema = z.strictObject({
  form: z.literal('ribbon'),
  left: RibbonEnd.default('notched'),
  right: RibbonEnd.default('notched'),
  depth: Extent.default(4).describe('Depth of the notch or point: a length, so that a shorter ribbon keeps its ends.'),
});
type Ribbon = z.infer<typeof schema>;

const { extent, choice } = fieldsOf<Ribbon>();

export const ribbon = defineForm({
  schema,
  label: 'Ribbon',
  words: 'a ribbon',
  key: 'R',
  proportions: [1.6, 0.3],
  fields: [choice('left', 'left end', ENDS, 92), choice('right', 'right end', ENDS, 92), extent('depth', 'depth')],
  outline: ({ left, right, depth }, box, measures) => ribbonPath(box, left, right, extentOf(depth, measures)),
  mirrored: (form) => ({ ...form, left: form.right, right: form.left }),
});

/**
 * A ribbon across its box. Its ends are as deep as given whatever its length, so that a shortened ribbon keeps their
 * form; both together never take more than its length.
 */
function ribbonPath(r: Rect, left: RibbonEnd, right: RibbonEnd, depth: Mm): Path {
  const shaped = [left, right].filter((end) => end !== 'flat').length;
  const d = shaped > 0 ? Math.min(depth, r.width / shaped) : 0;
  const middle = r.y + r.height / 2;
  const [top, bottom] = [r.y, r.y + r.height];
  /** @param edge where the end lies @param inward which way the ribbon is: 1 to the right */
  const end = (kind: RibbonEnd, edge: Mm, inward: 1 | -1): readonly Point[] => {
    switch (kind) {
      case 'flat':
        return [
          { x: edge, y: top },
          { x: edge, y: bottom },
        ];
      case 'notched':
        return [
          { x: edge, y: top },
          { x: edge + inward * d, y: middle },
          { x: edge, y: bottom },
        ];
      case 'pointed':
        return [
          { x: edge + inward * d, y: top },
          { x: edge, y: middle },
          { x: edge + inward * d, y: bottom },
        ];
    }
  };
  return polygonPath([...end(right, r.x + r.width, -1), ...[...end(left, r.x, 1)].reverse()]);
}
