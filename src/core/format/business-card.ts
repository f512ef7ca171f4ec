import { rectPath } from '../layout';
import { defineFormat } from './format';
import { choice, length, size } from '../parameter';
import { frontAndBack, shaped, sides } from './sides';

export const businessCard = defineFormat({
  kind: 'business-card',
  title: 'Business card',
  about: '85 × 55 mm or 3.5 × 2 in, corners square or round.',
  group: 'flat',
  usual: { safe: 4, why: 'a card is small; 4 mm inside the trim' },
  parameters: {
    size: size('Finished size', ['85 x 55 mm', '3.5 x 2 in'], 'Width x height.'),
    sides: sides('2'),
    corners: choice('Corners', 'square', 'Round corners are punched.', { square: 'square', round: 'round' }),
    radius: length('Corner radius', ['3 mm', '1/8 in'], 'Of a round corner.', {
      most: 30,
      when: (v) => v['corners'] === 'round',
    }),
  },
  plan: (d) => {
    if (d.corners === 'square') return { finished: d.size, surfaces: frontAndBack(d.size, d.sides) };
    const outline = rectPath({ x: 0, y: 0, ...d.size }, d.radius);
    return {
      finished: d.size,
      surfaces: frontAndBack(d.size, d.sides, { outline, processLines: [shaped('cut', outline)] }),
    };
  },
});
