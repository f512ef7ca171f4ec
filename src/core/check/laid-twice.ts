import isEqual from 'fast-deep-equal';
import type { Element } from '../job';
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
    return all.flatMap((upper, i) => {
      const lower = all.slice(0, i).find((other) => isTwice(other, upper));
      if (!lower) return [];
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
