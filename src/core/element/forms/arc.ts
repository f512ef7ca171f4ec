import { z } from 'zod';
import { arcSegments, mapPath, type Path, type Rect } from '../../geometry';
import { defineForm, fieldsOf } from './define';
import { onEllipse } from './on-ellipse';

const degrees = z.number().min(-360).max(360);
const ENDS = ['open', 'chord', 'pie'] as const;

const schema = z.strictObject({
  form: z.literal('arc'),
  from: degrees.default(0).describe('Degrees clockwise from the top.'),
  sweep: degrees.default(90).describe('Degrees clockwise.'),
  ends: z.enum(ENDS).default('open'),
});
type Arc = z.infer<typeof schema>;

const { number, choice } = fieldsOf<Arc>();
const TURN = { least: -360, most: 360, width: 62, after: '°' } as const;

export const arc = defineForm({
  schema,
  label: 'Arc',
  words: 'an arc',
  isDrawnAsLine: true,
  fields: [number('from', 'from', TURN), number('sweep', 'sweep', TURN), choice('ends', 'ends', ENDS, 84)],
  outline: (form, box) => arcPath(box, form),
  isClosed: ({ ends }) => ends !== 'open',
  mirrored: (form) => ({ ...form, from: -form.from, sweep: -form.sweep }),
});

/** Part of the box’s ellipse, open, closed by its chord, or as a slice. */
function arcPath(r: Rect, { from, sweep, ends }: Arc): Path {
  const start = onEllipse(r, from);
  const centre = { x: r.x + r.width / 2, y: r.y + r.height / 2 };
  // Drawn on a circle and stretched: angles are those of the circle, clockwise from the top.
  const round = arcSegments({ x: 0, y: 0 }, 1, from - 90, from - 90 + sweep);
  const curve = mapPath(round, [r.width / 2, 0, 0, r.height / 2, centre.x, centre.y]);
  switch (ends) {
    case 'open':
      return [['M', start.x, start.y], ...curve];
    case 'chord':
      return [['M', start.x, start.y], ...curve, ['Z']];
    case 'pie':
      return [['M', centre.x, centre.y], ['L', start.x, start.y], ...curve, ['Z']];
  }
}
