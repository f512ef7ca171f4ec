import { mmOf, type Copies, type Gap, type Measures, type Repeat, type RepeatOf } from '../element';
import type { Mm } from '../measure';
import type { Span } from './axis';
import { boxRect, type SurfaceBoxes } from './boxes';
import {
  IDENTITY,
  apply,
  centreOf,
  mappedBounds,
  multiply,
  rotation,
  scaling,
  translation,
  union,
  type Matrix,
  type Rect,
} from '../geometry';
import { spanX, spanY } from './tracks';

/** Most copies that all the repeats of one element give together. */
const MOST = 5000;

/** Where the copies of an element lie, and how many there would be were there no bound. */
export interface LaidCopies {
  readonly laid: readonly Matrix[];
  readonly asked: number;
}

/**
 * Where the copies of an element stand, as maps from where it stands itself; the first is itself.
 * @param rect what is repeated, as placed on the sheet
 */
export function copiesOf(repeats: readonly Repeat[], rect: Rect, boxes: SurfaceBoxes): LaidCopies {
  let all: readonly Matrix[] = [IDENTITY];
  let asked = 1;
  for (const repeat of repeats) {
    // Each repeat goes on from all that is there: rows of what goes around, a mirror image of rows.
    const whole = union(all.map((m) => mappedBounds(rect, m)));
    const before = all;
    const steps = stepsOf(repeat, whole, boxes);
    asked *= steps.length;
    const most = Math.max(1, Math.floor(MOST / before.length));
    all = steps.slice(0, most).flatMap((step) => before.map((m) => multiply(step, m)));
  }
  return { laid: all, asked };
}

function stepsOf(repeat: Repeat, rect: Rect, boxes: SurfaceBoxes): readonly Matrix[] {
  const box = boxRect(repeat.in, boxes);
  const { measures } = boxes;
  switch (repeat.way) {
    case 'rows': {
      const across = offsets(spanX(rect), spanX(box), repeat.across, repeat.gapAcross, measures);
      const down = offsets(spanY(rect), spanY(box), repeat.down, repeat.gapDown, measures);
      return down.flatMap((dy) => across.map((dx) => translation(dx, dy)));
    }
    case 'around':
      return aroundPoint(repeat, rect, box, measures);
    case 'mirror':
      return [IDENTITY, mirrorOf(repeat, rect, box)];
  }
}

/**
 * How far each copy is moved on an axis.
 * With a gap g the step is size + g; filling takes floor((room from its start + g) ÷ step) copies; an even gap is
 * (room − n × size) ÷ (n − 1), where n is the largest number that fits without overlap when the box is to be filled.
 */
function offsets(own: Span, box: Span, copies: Copies, gap: Gap, measures: Measures): readonly Mm[] {
  const room = box.start + box.size - own.start;
  const fits = (g: Mm) => (own.size + g > 0 ? Math.max(1, Math.floor((room + g) / (own.size + g) + 1e-9)) : 1);
  const count = Math.min(copies === 'fill' ? fits(gap === 'even' ? 0 : mmOf(gap, measures)) : copies, MOST);
  const step =
    own.size + (gap === 'even' ? (count > 1 ? (room - count * own.size) / (count - 1) : 0) : mmOf(gap, measures));
  return Array.from({ length: count }, (_, i) => i * step);
}

function aroundPoint(repeat: RepeatOf<'around'>, rect: Rect, box: Rect, measures: Measures): readonly Matrix[] {
  const centre = centreOf(box);
  const own = centreOf(rect);
  const reach = Math.hypot(own.x - centre.x, own.y - centre.y);
  return Array.from({ length: repeat.count }, (_, i) => {
    if (i === 0) return IDENTITY;
    const turn = rotation((i * repeat.through) / repeat.count, centre);
    const out = i * mmOf(repeat.out, measures);
    const further =
      reach > 0 ? { x: ((own.x - centre.x) / reach) * out, y: ((own.y - centre.y) / reach) * out } : { x: 0, y: -out };
    const size = (repeat.grow / 100) ** i;
    const grown =
      size === 1
        ? translation(further.x, further.y)
        : multiply(translation(further.x, further.y), scaling(size, size, own));
    if (!repeat.upright) return multiply(turn, grown);
    const to = apply(turn, { x: own.x + further.x, y: own.y + further.y });
    return multiply(translation(to.x - own.x, to.y - own.y), scaling(size, size, own));
  });
}

/** x′ = 2c − x across an upright centre line; when upright, the box is moved and what is in it is not turned. */
function mirrorOf(repeat: RepeatOf<'mirror'>, rect: Rect, box: Rect): Matrix {
  const c = centreOf(box);
  const own = centreOf(rect);
  if (repeat.axis === 'x') return repeat.upright ? translation(2 * (c.x - own.x), 0) : [-1, 0, 0, 1, 2 * c.x, 0];
  return repeat.upright ? translation(0, 2 * (c.y - own.y)) : [1, 0, 0, -1, 0, 2 * c.y];
}
