import { defineFormat } from './format';
import { size } from '../parameter';
import { frontAndBack, sides } from './sides';

export const worksheet = defineFormat({
  kind: 'worksheet',
  title: 'Worksheet',
  about: 'A page to write on: exercises, lists, forms.',
  group: 'flat',
  usual: { safe: 10, why: 'desk printers leave a rim of up to 10 mm' },
  parameters: {
    size: size('Finished size', ['A4', 'letter'], 'Width x height, or a paper name.'),
    sides: sides('1'),
  },
  plan: (d) => ({ finished: d.size, surfaces: frontAndBack(d.size, d.sides) }),
});
