import isEqual from 'fast-deep-equal';
import type { Element } from '../job';
import type { Rect } from '../layout';
import type { Mm } from '../measure';
import { reaching } from './beneath';
import { framed, remove, type Framed, type Rule } from './rule';

/** How near two places are the same, mm. */
const SAME = 0.01;

/** What two elements differ in though they show the same. */
const without = ({ id: _id, name: _name, layer: _layer, group: _group, placement: _placement, ...rest }: Element) =>
  rest;

const isSamePlace = (a: Framed, b: Framed): boolean =>
  (['x', 'y', 'width', 'height'] as const).every((key) => Math.abs(a.frame.rect[key] - b.frame.rect[key]) < SAME) &&
  a.frame.rotate === b.frame.rotate &&
  a.frame.shear === b.frame.shear;

/** The top left corner of a rectangle, and what lies around it. */
const cornerOf = ({ x, y }: Rect, around: Mm): Rect => ({
  x: x - around,
  y: y - around,
  width: 2 * around,
  height: 2 * around,
});

const isTwice = (a: Framed, b: Framed): boolean =>
  a.element.kind === b.element.kind && isSamePlace(a, b) && isEqual(without(a.element), without(b.element));

/** Something that lies exactly on a copy of itself. */
export const laidTwiceRule: Rule = {
  id: 'laid-twice',
  title: 'The same thing twice',
  why:
    'A copy that lies exactly on its original is not seen, but it is moved, changed and found alone; what is partly ' +
    'clear, blended or overprinted prints twice as dark.',
  check: (subject) => {
    const all = framed(subject);
    const corners = reaching(all.map(({ frame }) => cornerOf(frame.rect, 0)));
    return all.flatMap((upper, i) => {
      const here = corners(cornerOf(upper.frame.rect, SAME));
      const isCopy = here.some((lower) => lower < i && all[lower] && isTwice(all[lower], upper));
      if (!isCopy) return [];
      return [
        {
          severity: 'warning',
          element: upper.element.id,
          where: upper.frame.bounds,
          message: 'It lies exactly on another that is the same.',
          fixes: [remove('Take the upper one off', upper.element)],
        },
      ];
    });
  },
};
