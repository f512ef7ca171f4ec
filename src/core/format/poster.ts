import { defineFormat } from './format';
import { size } from '../parameter';
import { frontAndBack, sides } from './sides';

export const poster = defineFormat({
  kind: 'poster',
  title: 'Poster',
  about: 'One large sheet, seen from a few steps away.',
  group: 'flat',
  usual: { distance: 1000, safe: 10, why: 'a poster is read from about a metre and hangs in a frame' },
  parameters: {
    size: size('Finished size', ['A2', '18 x 24 in'], 'Width x height, or a paper name.'),
    sides: sides('1'),
  },
  plan: (d) => ({ finished: d.size, surfaces: frontAndBack(d.size, d.sides) }),
});
