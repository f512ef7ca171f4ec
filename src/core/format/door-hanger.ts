import { ellipsePath, rectPath } from '../layout';
import { defineFormat } from './format';
import { Impossible, length, size } from '../parameter';
import { frontAndBack, shaped, sides, zone } from './sides';

export const doorHanger = defineFormat({
  kind: 'door-hanger',
  title: 'Door hanger',
  about: 'Hangs on a handle: a round hole and a slit to slip it on.',
  group: 'die-cut',
  parameters: {
    size: size('Finished size', ['100 x 250 mm', '4.25 x 11 in'], 'Width x height.'),
    sides: sides('2'),
    radius: length('Corner radius', ['5 mm', '1/4 in'], '0 for square corners.', { most: 60 }),
    diameter: length('Hole', ['60 mm', '2.25 in'], 'Its diameter: a handle and its rose.', { least: 20, most: 200 }),
    inset: length('Hole inset', ['50 mm', '2 in'], 'From the head to its middle.', { most: 400 }),
  },
  plan: (d, { write }) => {
    const { width, height } = d.size;
    const r = d.diameter / 2;
    if (r + 10 > width / 2)
      throw new Impossible('diameter', `10 mm of card stay beside the hole: at most ${write(width - 20)} here.`);
    if (d.inset - r < 8 || d.inset + r > height)
      throw new Impossible('inset', `8 mm of card stay above the hole: at least ${write(r + 8)} from the head.`);
    const outline = rectPath({ x: 0, y: 0, width, height }, d.radius);
    const box = { x: width / 2 - r, y: d.inset - r, width: d.diameter, height: d.diameter };
    // From the hole to the right edge, rising, so that it hooks.
    const at = r * Math.SQRT1_2;
    const slit = {
      from: { x: width / 2 + at, y: d.inset - at },
      to: { x: width, y: Math.max(2, d.inset - at - (width / 2 - at) * 0.5) },
    };
    const clear = { x: box.x - 3, y: 0, width: d.diameter + 6, height: d.inset + r + 3 };
    return {
      finished: d.size,
      surfaces: frontAndBack(d.size, d.sides, {
        outline,
        processLines: [shaped('cut', outline), shaped('cut', ellipsePath(box)), { process: 'cut', ...slit }],
        zones: [zone('keep-clear', 'handle hole', clear, 'The handle and its hole take this part.')],
      }),
    };
  },
});
