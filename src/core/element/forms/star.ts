import { z } from 'zod';
import { polygonPath, type Path, type Rect } from '../../geometry';
import { defineForm, fieldsOf } from './define';
import { onEllipse } from './on-ellipse';
import { corners } from './polygon';

const schema = z.strictObject({
  form: z.literal('star'),
  points: corners.default(5),
  inner: z.number().min(1).max(100).default(40).describe('Percent of the way out at which the inner corners lie.'),
});
type Star = z.infer<typeof schema>;

const { number } = fieldsOf<Star>();

export const star = defineForm({
  schema,
  label: 'Star',
  words: 'a star',
  fields: [
    number('points', 'points', { least: 3, most: 100, whole: true, width: 58 }),
    number('inner', 'inner', { least: 1, most: 100, width: 62, after: ' %' }),
  ],
  outline: ({ points, inner }, box) => starPath(box, points, inner / 100),
});

/**
 * A star: outer corners as of a polygon, an inner one between each two.
 * @param inner share of the way out at which the inner corners lie
 */
const starPath = (r: Rect, points: number, inner: number): Path =>
  polygonPath(Array.from({ length: points * 2 }, (_, i) => onEllipse(r, (i * 180) / points, i % 2 === 0 ? 1 : inner)));
