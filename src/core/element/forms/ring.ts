import { z } from 'zod';
import { ellipsePath, mapPath, type Path, type Rect } from '../../geometry';
import { defineForm, fieldsOf } from './define';

const schema = z.strictObject({
  form: z.literal('ring'),
  hole: z.number().min(1).max(99).default(60).describe('Percent of the way out at which the ring begins.'),
});
type Ring = z.infer<typeof schema>;

const { number } = fieldsOf<Ring>();

export const ring = defineForm({
  schema,
  label: 'Ring',
  words: 'a ring',
  fields: [number('hole', 'hole', { least: 1, most: 99, width: 62, after: ' %' })],
  outline: ({ hole }, box) => ringPath(box, hole / 100),
});

/** Two ellipses; the inner one runs the other way round, so that it is a hole whichever rule fills it. */
function ringPath(box: Rect, hole: number): Path {
  const middle = box.x + box.width / 2;
  const inner: Rect = {
    x: middle - (box.width * hole) / 2,
    y: box.y + (box.height * (1 - hole)) / 2,
    width: box.width * hole,
    height: box.height * hole,
  };
  const turned = mapPath(ellipsePath(inner), [-1, 0, 0, 1, 2 * middle, 0]);
  return [...ellipsePath(box), ...turned];
}
