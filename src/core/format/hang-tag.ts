import { polygonPath, rectPath } from '../layout';
import { defineFormat } from './format';
import { Impossible, choice, length, size } from '../parameter';
import { frontAndBack, hole, shaped, sides, zone } from './sides';

export const hangTag = defineFormat({
  kind: 'hang-tag',
  title: 'Hang tag',
  about: 'A tag with a hole for its string, corners square, round or cut off.',
  group: 'die-cut',
  usual: { safe: 3, why: 'tags are small; 3 mm inside the die' },
  parameters: {
    size: size('Finished size', ['50 x 90 mm', '2 x 3.5 in'], 'Width x height.'),
    sides: sides('2'),
    corners: choice('Head corners', 'clipped', 'At the end with the hole.', {
      clipped: 'cut off',
      round: 'all round',
      square: 'square',
    }),
    corner: length('Corner', ['10 mm', '3/8 in'], 'What is cut off, or the radius.', {
      most: 100,
      when: (v) => v['corners'] !== 'square',
    }),
    diameter: length('Hole', ['4 mm', '5/32 in'], 'Its diameter.', { least: 2, most: 20 }),
    inset: length('Hole inset', ['9 mm', '3/8 in'], 'From the head to its middle.', { most: 100 }),
  },
  plan: (d, { write }) => {
    const { width, height } = d.size;
    if (d.inset + d.diameter / 2 >= height || d.diameter >= width)
      throw new Impossible(
        'inset',
        `The hole lies outside the tag: at most ${write(height - d.diameter)} from its head.`,
      );
    const c = Math.min(d.corner, width / 2, height / 2);
    const outline =
      d.corners === 'clipped'
        ? polygonPath([
            { x: c, y: 0 },
            { x: width - c, y: 0 },
            { x: width, y: c },
            { x: width, y: height },
            { x: 0, y: height },
            { x: 0, y: c },
          ])
        : rectPath({ x: 0, y: 0, width, height }, d.corners === 'round' ? c : 0);
    const r = d.diameter / 2 + 2;
    const clear = { x: width / 2 - r, y: d.inset - r, width: 2 * r, height: 2 * r };
    return {
      finished: d.size,
      surfaces: frontAndBack(d.size, d.sides, {
        outline,
        processLines: [shaped('cut', outline), hole(width / 2, d.inset, d.diameter)],
        zones: [zone('keep-clear', 'string hole', clear, 'A drill wanders; 2 mm around the hole stay clear.')],
      }),
    };
  },
});
