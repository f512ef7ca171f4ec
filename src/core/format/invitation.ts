import { envelopeFacts, envelopeParameter } from './envelope-figures';
import { defineFormat } from './format';
import { size } from '../parameter';
import { frontAndBack, sides } from './sides';

export const invitation = defineFormat({
  kind: 'invitation',
  title: 'Invitation',
  about: 'A single card that comes in an envelope.',
  group: 'flat',
  parameters: {
    size: size('Finished size', ['A6 landscape', '7 x 5 in'], 'Width x height, or a paper name.'),
    sides: sides('2'),
    envelope: envelopeParameter('auto'),
  },
  plan: (d, context) => ({
    finished: d.size,
    surfaces: frontAndBack(d.size, d.sides),
    ...envelopeFacts(d.envelope, d.size, context.rules.thickness.value, context),
  }),
});
