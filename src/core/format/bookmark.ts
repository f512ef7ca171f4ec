import { defineFormat, type Plan } from './format';
import { choice, length, size } from '../parameter';
import { frontAndBack, hole, sides, zone } from './sides';

export const bookmark = defineFormat({
  kind: 'bookmark',
  title: 'Bookmark',
  about: 'A narrow strip of card, with or without a hole for a ribbon.',
  group: 'flat',
  parameters: {
    size: size('Finished size', ['50 x 180 mm', '2 x 7 in'], 'Width x height.'),
    sides: sides('2'),
    hole: choice('Ribbon hole', 'no', 'Drilled at the head, in the middle.', { no: 'none', yes: 'at the head' }),
    diameter: length('Hole diameter', ['5 mm', '3/16 in'], 'Of the hole.', {
      least: 2,
      most: 20,
      when: (v) => v['hole'] === 'yes',
    }),
    inset: length('Hole inset', ['8 mm', '5/16 in'], 'From the head to the middle of the hole.', {
      most: 60,
      when: (v) => v['hole'] === 'yes',
    }),
  },
  plan: (d): Plan => {
    if (d.hole === 'no') return { finished: d.size, surfaces: frontAndBack(d.size, d.sides) };
    const x = d.size.width / 2;
    const r = d.diameter / 2 + 2;
    const clear = { x: x - r, y: d.inset - r, width: 2 * r, height: 2 * r };
    return {
      finished: d.size,
      surfaces: frontAndBack(d.size, d.sides, {
        processLines: [hole(x, d.inset, d.diameter)],
        zones: [zone('keep-clear', 'ribbon hole', clear, 'A drill wanders; 2 mm around the hole stay clear.')],
      }),
    };
  },
});
