import { defineFormat } from './format';
import { size } from '../parameter';
import { frontAndBack, sides } from './sides';

export const cv = defineFormat({
  kind: 'cv',
  title: 'CV',
  about: 'A page about a person, printed at home or sent as a file.',
  group: 'flat',
  usual: { safe: 12, why: 'desk printers and readers want a margin of about 12 mm' },
  parameters: {
    size: size('Finished size', ['A4', 'letter'], 'Width x height, or a paper name.'),
    sides: sides('1'),
  },
  plan: (d) => ({ finished: d.size, surfaces: frontAndBack(d.size, d.sides) }),
});
