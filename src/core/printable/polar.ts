import { Impossible, count, length } from '../parameter';
import { lineStyles, styleOf } from './line-styles';
import { disc, line, words, type Mark } from './mark';
import { definePrintable } from './printable';

/** Rings around a middle, and rays from it. */
export const polar = definePrintable({
  kind: 'polar',
  group: 'grids',
  presets: [
    { id: 'polar', title: 'Polar', about: 'Rings and rays, with degrees at the rim.', decisions: {} },
    {
      id: 'sky-dial',
      title: 'Sky chart rings',
      about: 'Six rings of altitude, a ray for each hour.',
      decisions: { spacing: '0 mm', rings: '6', rays: '24' },
    },
  ],
  parameters: {
    spacing: length('Spacing', ['10 mm', '3/8 in'], 'From ring to ring; 0 to give the rings instead.', { most: 300 }),
    rings: count('Rings', '9', 'Where no spacing is given.', 1, 200, { when: (v) => v['spacing'] === 0 }),
    rays: count('Rays', '36', 'Evenly around.', 0, 360),
    style: lineStyles('Lines', 'solid 0.25pt pale', 'Dash, weight, colour.'),
    rim: lineStyles('Outer ring', 'solid 0.7pt pale', 'Dash, weight, colour.'),
  },
  solve: (d, box, { write, lettering }) => {
    const size = Math.min(2.4, Math.min(box.width, box.height) / 40);
    const most = Math.min(box.width, box.height) / 2 - (d.rays > 0 ? size * 2.4 : 0.2);
    const rings = d.spacing > 0 ? Math.floor(most / d.spacing + 1e-9) : d.rings;
    if (rings < 1) throw new Impossible('spacing', `Not one ring fits: at most ${write(most)}.`);
    const step = d.spacing > 0 ? d.spacing : most / rings;
    const radius = rings * step;
    const middle = { x: box.width / 2, y: box.height / 2 };
    const at = (degrees: number, r: number) => {
      const a = ((degrees - 90) * Math.PI) / 180;
      return { x: middle.x + Math.cos(a) * r, y: middle.y + Math.sin(a) * r };
    };
    const turn = 360 / Math.max(1, d.rays);
    const letters = lettering('text', false);
    const rays = Array.from({ length: d.rays }, (_, i): Mark =>
      line(at(i * turn, i % 3 === 0 || d.rays <= 24 ? 0 : step), at(i * turn, radius), styleOf(d.style)),
    );
    const labels = Array.from({ length: d.rays }, (_, i): Mark[] => {
      const degrees = i * turn;
      if (degrees % 30 !== 0) return [];
      const p = at(degrees, radius + size * 1.3);
      return [
        words(`${degrees}°`, { x: p.x, y: p.y + (letters.capHeight * size) / 2 }, size, {
          align: 'centre',
          role: 'pale',
        }),
      ];
    }).flat();
    return {
      marks: [
        ...Array.from({ length: rings }, (_, i): Mark =>
          disc(middle, (i + 1) * step, styleOf(i === rings - 1 ? d.rim : d.style)),
        ),
        ...rays,
        ...labels,
      ],
      findings: [
        {
          id: 'rings',
          name: 'Rings',
          value: rings,
          unit: 'count',
          working: [
            d.spacing > 0
              ? `floor(${write(most)} ÷ ${write(step)}) = ${rings}`
              : `${write(most)} ÷ ${rings} = ${write(step)} apart`,
            `the outer one is ${write(2 * radius)} across`,
          ],
          rule: 'Rings a spacing apart, inside the shorter side',
        },
      ],
    };
  },
});
