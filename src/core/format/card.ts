import { defineFormat } from './format';
import { size } from '../parameter';
import { frontAndBack, sides } from './sides';

export const card = defineFormat({
  kind: 'card',
  title: 'Card',
  about: 'A single card: an invitation, a thank-you, a menu.',
  group: 'flat',

  parameters: {
    size: size('Finished size', ['A6', '5 x 7 in'], 'Width x height, or a paper name.'),
    sides: sides('2'),
  },
  plan: (d) => ({ finished: d.size, surfaces: frontAndBack(d.size, d.sides) }),
});
