import { z } from 'zod';
import { polygonPath, type Path, type Rect } from '../../geometry';
import { defineForm, fieldsOf } from './define';
import { onEllipse } from './on-ellipse';

/** How many corners a form may have. */
export const corners = z.number().int().min(3).max(100);

const schema = z
  .strictObject({ form: z.literal('polygon'), sides: corners.default(6) })
  .describe('Regular where its box is square; one corner up.');
type Polygon = z.infer<typeof schema>;

const { number } = fieldsOf<Polygon>();

export const polygon = defineForm({
  schema,
  label: 'Polygon',
  words: 'a polygon',
  fields: [number('sides', 'sides', { least: 3, most: 100, whole: true, width: 58 })],
  outline: ({ sides }, box) => regularPolygon(box, sides),
});

/** A polygon with its corners evenly on the box’s ellipse, the first at the top. */
const regularPolygon = (r: Rect, sides: number): Path =>
  polygonPath(Array.from({ length: sides }, (_, i) => onEllipse(r, (i * 360) / sides)));
