import { defineFormat } from './format';
import { size } from '../parameter';
import { frontAndBack, sides } from './sides';

export const complimentSlip = defineFormat({
  kind: 'compliment-slip',
  title: 'Compliment slip',
  about: 'A third of a letterhead, for a few words by hand.',
  group: 'flat',

  parameters: {
    size: size('Finished size', ['DL landscape', '8.5 x 3.667 in'], 'Width x height, or a paper name.'),
    sides: sides('1'),
  },
  plan: (d) => ({ finished: d.size, surfaces: frontAndBack(d.size, d.sides) }),
});
