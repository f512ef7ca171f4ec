import { choice, size } from '../parameter';
import { defineFormat, type SurfacePlan } from './format';
import { frontAndBack, sides } from './sides';
import type { Size } from '../paper';

/** Papers that a worksheet is made on as well. */
const OTHERS: Readonly<Record<'a4' | 'letter', Size>> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
};

export const worksheet = defineFormat({
  kind: 'worksheet',
  title: 'Worksheet',
  about: 'A page to write on: exercises, lists, forms.',
  group: 'flat',
  usual: { safe: 10, why: 'desk printers leave a rim of up to 10 mm' },
  parameters: {
    size: size('Finished size', ['A4', 'letter'], 'Width x height, or a paper name.'),
    sides: sides('1'),
    also: choice('Also on', 'none', 'The same on another paper, as sides of their own.', {
      none: 'no other paper',
      letter: 'US letter',
      a4: 'A4',
    }),
  },
  plan: (d) => ({
    finished: d.size,
    surfaces: [...frontAndBack(d.size, d.sides), ...(d.also === 'none' ? [] : onOther(d.also, d.size, d.sides))],
  }),
});

/** The sides on another paper, lying as the first one does. */
function onOther(also: keyof typeof OTHERS, first: Size, printed: number): readonly SurfacePlan[] {
  const { width, height } = OTHERS[also];
  const size = first.width > first.height ? { width: height, height: width } : { width, height };
  return frontAndBack(size, printed).map((s) => ({ ...s, name: `${also === 'a4' ? 'A4' : also} ${s.name}` }));
}
