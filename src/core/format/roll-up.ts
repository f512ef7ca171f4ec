import { defineFormat } from './format';
import { Impossible, length, scale, size } from '../parameter';
import { zone } from './sides';

export const rollUp = defineFormat({
  kind: 'roll-up',
  title: 'Roll-up',
  about: 'A banner that stands: its foot is hidden in the base, its head in the rail.',
  group: 'large',
  usual: { bleed: 5, safe: 40, distance: 1000, why: 'a roll-up is read from a metre or more' },
  parameters: {
    size: size('Visible size', ['850 x 2000 mm', '33.5 x 79 in'], 'What is seen when it stands.'),
    scale: scale('Drawn at', '1:10', '1:1, 1:2 or 1:10.'),
    base: length('Hidden in the base', ['120 mm', '5 in'], 'Below what is seen; ask for the stand’s own figure.', {
      most: 600,
    }),
    rail: length('Hidden in the rail', ['20 mm', '3/4 in'], 'Above what is seen.', { most: 200 }),
  },
  plan: (d, { write }) => {
    const k = 1 / d.scale;
    const { width, height } = d.size;
    const whole = height + d.base + d.rail;
    if (d.base >= height) throw new Impossible('base', `More is hidden than is seen: at most ${write(height / 2)}.`);
    const band = (name: string, y: number, h: number) =>
      zone('hidden', name, { x: 0, y: y * k, width: width * k, height: h * k }, 'Printed but not seen.');
    const drawn = { width: width * k, height: whole * k };
    return {
      finished: d.size,
      flat: drawn,
      scale: d.scale,
      surfaces: [
        {
          name: 'front',
          size: drawn,
          clear: { top: d.rail * k, bottom: d.base * k },
          panels: [{ name: 'visible', x: 0, y: d.rail * k, width: width * k, height: height * k }],
          zones: [
            ...(d.rail > 0 ? [band('in the rail', 0, d.rail)] : []),
            ...(d.base > 0 ? [band('in the base', d.rail + height, d.base)] : []),
          ],
        },
      ],
      figures: [
        {
          id: 'whole',
          group: 'size',
          name: 'Printed size',
          value: [width, whole],
          unit: 'mm',
          working: [
            `${write(d.rail)} + ${write(height)} + ${write(d.base)} = ${write(whole)} (drawn ${write(whole * k)})`,
          ],
          rule: 'What is seen, and what the stand hides',
          measured: { kind: 'stops', axis: 'y', stops: [0, d.rail * k, (d.rail + height) * k, whole * k] },
        },
      ],
    };
  },
});
