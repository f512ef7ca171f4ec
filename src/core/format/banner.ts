import type { Figure } from '../figure';
import type { Mm } from '../measure';
import type { ProcessLine, Zone } from './blank';
import { defineFormat } from './format';
import { Impossible, choice, length, scale, size } from '../parameter';
import { hole, zone } from './sides';

/** Grommet: outer diameter and its middle from the edge, mm [cp]. */
const GROMMET = { diameter: 12, inset: 25, clear: 40 } as const;

export const banner = defineFormat({
  kind: 'banner',
  title: 'Banner',
  about: 'Hemmed cloth or vinyl with grommets or pole pockets, drawn to scale.',
  group: 'large',
  usual: { bleed: 5, safe: 50, distance: 1000, why: 'banners are cut by hand and read from a metre or more' },
  parameters: {
    size: size('Finished size', ['2000 x 1000 mm', '6 x 3 ft'], 'As it hangs; feet and metres are welcome.'),
    scale: scale('Drawn at', '1:10', '1:1, 1:2 or 1:10; every figure is given at both scales.'),
    hem: length('Hem', ['30 mm', '1.25 in'], 'Turned back all round; 0 for none.', { most: 200 }),
    grommets: length('Grommets every', ['500 mm', '20 in'], 'At most so far apart, and in the corners; 0 for none.', {
      most: 3000,
    }),
    pockets: choice('Pole pockets', 'none', 'Sewn at the head, or at head and foot.', {
      none: 'none',
      head: 'head',
      both: 'head and foot',
    }),
    pole: length('Pole', ['40 mm', '1.5 in'], 'Its diameter.', { most: 500, when: (v) => v['pockets'] !== 'none' }),
    'pocket-allowance': length('Pocket allowance', ['20 mm', '3/4 in'], 'For the seam and an easy fit.', {
      most: 200,
      when: (v) => v['pockets'] !== 'none',
    }),
  },
  plan: (d, { write }) => {
    const { width, height } = d.size;
    const k = 1 / d.scale;
    if (d.pockets !== 'none' && d.pole >= Math.min(width, height))
      throw new Impossible(
        'pole',
        `A pole is thinner than the banner is high: at most ${write(Math.min(width, height) / 4)} here.`,
      );
    const pocket = d.pockets === 'none' ? 0 : (Math.PI * d.pole) / 2 + d['pocket-allowance'];
    if (pocket * (d.pockets === 'both' ? 2 : 1) > height / 2)
      throw new Impossible('pole', `Pockets of ${write(pocket)} leave too little banner. Take a thinner pole.`);
    if (2 * d.hem >= Math.min(width, height) / 2)
      throw new Impossible('hem', 'The hem takes more than half of the banner.');
    const head = Math.max(d.hem, pocket);
    const foot = d.pockets === 'both' ? Math.max(d.hem, pocket) : d.hem;
    const along = { x: spaced(width, d.grommets), y: spaced(height, d.grommets) };
    const places = d.grommets > 0 ? around(width, height, along) : [];
    const cut = {
      width: width + 2 * d.hem,
      height: height + (pocket || d.hem) + (d.pockets === 'both' ? pocket : d.hem),
    };
    const lines: ProcessLine[] = places.map(({ x, y }) => hole(x * k, y * k, GROMMET.diameter * k));
    const rim = (name: string, y: Mm, h: Mm, why: string): Zone =>
      zone('keep-clear', name, { x: 0, y: y * k, width: width * k, height: h * k }, why);
    const clear = Math.max(d.hem, d.grommets > 0 ? GROMMET.clear : 0);
    const twice = (mm: Mm) => `${write(mm)} (drawn ${write(mm * k)})`;
    const figures: Figure[] = [
      {
        id: 'cut-size',
        group: 'size',
        name: 'Cut size',
        value: [cut.width, cut.height],
        unit: 'mm',
        working: [
          `${write(width)} + 2 × ${write(d.hem)} hem = ${twice(cut.width)}`,
          `${write(height)} + ${write(pocket || d.hem)} + ${write(d.pockets === 'both' ? pocket : d.hem)} = ` +
            twice(cut.height),
        ],
        rule: 'Finished size plus what is turned back',
      },
      ...(d.grommets > 0
        ? [
            {
              id: 'grommets',
              group: 'panels' as const,
              name: 'Grommets',
              value: places.length,
              unit: 'count' as const,
              working: [
                `across: ${along.x.n + 1} at ${twice(along.x.pitch)}`,
                `down: ${along.y.n + 1} at ${twice(along.y.pitch)}`,
                `${write(GROMMET.inset)} in from the edges; at most ${write(d.grommets)} apart`,
              ],
              rule: 'Evenly, with the corners (common practice)',
              measured: {
                kind: 'stops' as const,
                axis: 'x' as const,
                stops: [0, ...along.x.at.map((x) => x * k), width * k],
              },
            },
          ]
        : []),
      ...(pocket > 0
        ? [
            {
              id: 'pocket',
              group: 'panels' as const,
              name: 'Pole pocket',
              value: pocket,
              unit: 'mm' as const,
              working: [`π × ${write(d.pole)} ÷ 2 + ${write(d['pocket-allowance'])} = ${twice(pocket)}`],
              rule: 'Half the pole’s circumference and an allowance (common practice)',
            },
          ]
        : []),
      {
        id: 'habits',
        group: 'picture and ink',
        name: 'By rule of thumb',
        value: [72, 100, 150],
        unit: 'ppi',
        working: [72, 100, 150].map(
          (ppi) => `${ppi} ppi: ${Math.round((width / 25.4) * ppi)} × ${Math.round((height / 25.4) * ppi)} px`,
        ),
        rule: 'Three habits of the trade, beside what the eye resolves (common practice)',
      },
    ];
    return {
      finished: d.size,
      flat: { width: width * k, height: height * k },
      scale: d.scale,
      ...(d.hem > 0 && { edges: 'hem' as const }),
      surfaces: [
        {
          name: 'front',
          size: { width: width * k, height: height * k },
          processLines: lines,
          clear: {
            top: Math.max(clear, head) * k,
            bottom: Math.max(clear, foot) * k,
            left: clear * k,
            right: clear * k,
          },
          zones: [
            ...(pocket > 0 ? [rim('pole pocket', 0, pocket, 'The pole goes through here; the seam shows.')] : []),
            ...(d.pockets === 'both'
              ? [rim('pole pocket, foot', height - pocket, pocket, 'The pole goes through here; the seam shows.')]
              : []),
            ...(d.hem > 0 && pocket === 0 ? [rim('hem, head', 0, d.hem, 'Turned back and welded or sewn.')] : []),
            ...(d.hem > 0 && d.pockets !== 'both'
              ? [rim('hem, foot', height - d.hem, d.hem, 'Turned back and welded or sewn.')]
              : []),
          ],
        },
      ],
      figures,
    };
  },
});

/** Evenly from corner to corner, no further apart than asked. */
function spaced(side: Mm, every: Mm): { readonly n: number; readonly pitch: Mm; readonly at: readonly Mm[] } {
  const room = side - 2 * GROMMET.inset;
  const n = every > 0 ? Math.max(1, Math.ceil(room / every - 1e-9)) : 0;
  const pitch = n > 0 ? room / n : 0;
  return { n, pitch, at: Array.from({ length: n + 1 }, (_, i) => GROMMET.inset + i * pitch) };
}

type Along = Readonly<Record<'x' | 'y', { readonly at: readonly Mm[] }>>;

/** Along the four sides, each corner once. */
const around = (width: Mm, height: Mm, along: Along) => [
  ...along.x.at.flatMap((x) => [
    { x, y: GROMMET.inset },
    { x, y: height - GROMMET.inset },
  ]),
  ...along.y.at.slice(1, -1).flatMap((y) => [
    { x: GROMMET.inset, y },
    { x: width - GROMMET.inset, y },
  ]),
];
