import { defineFormat } from './format';
import { size } from '../parameter';
import { frontAndBack, sides } from './sides';

export const flyer = defineFormat({
  kind: 'flyer',
  title: 'Flyer',
  about: 'One flat sheet, one or two sides.',
  group: 'flat',

  parameters: {
    size: size('Finished size', ['A5', 'half letter'], 'Width x height, or a paper name.'),
    sides: sides('2'),
  },
  plan: (d) => ({ finished: d.size, surfaces: frontAndBack(d.size, d.sides) }),
});
