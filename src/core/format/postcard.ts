import { defineFormat } from './format';
import { choice, size } from '../parameter';
import { frontAndBack, sides, zone } from './sides';

export const postcard = defineFormat({
  kind: 'postcard',
  title: 'Postcard',
  about: 'A picture side, and a side to write and address.',
  group: 'flat',
  parameters: {
    size: size('Finished size', ['A6 landscape', '6 x 4 in'], 'Width x height, or a paper name.'),
    sides: sides('2'),
    posted: choice('Sent by post', 'yes', 'Keeps the address half and the stamp clear.', { yes: 'yes', no: 'no' }),
  },
  plan: (d) => {
    const { width, height } = d.size;
    const why = 'Address and stamp need plain paper; how much is for the postal service to say.';
    const [front, back] = frontAndBack(d.size, d.sides);
    if (!front) throw new RangeError('A postcard has a front.');
    if (!back || d.posted === 'no') return { finished: d.size, surfaces: back ? [front, back] : [front] };
    const half = { x: width / 2, y: 0, width: width / 2, height };
    const left = { name: 'message', x: 0, y: 0, width: width / 2, height };
    return {
      finished: d.size,
      surfaces: [
        front,
        { ...back, panels: [left, { name: 'address', ...half }], zones: [zone('keep-clear', 'address', half, why)] },
      ],
    };
  },
});
