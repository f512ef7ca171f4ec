import type { Random } from '../chance';
import type { Figure } from '../figure';
import { parseLength, type FieldError, type JobUnit } from '../measure';
import { number } from '../parameter';
import { QUESTIONS, reckon } from '../reckon';

/** A sum that a person of the trade does in the head or on paper. */
export interface DrillKind {
  readonly id: string;
  readonly title: string;
  /** The question of the reckoner that works it out, and which of its figures is asked for. */
  readonly question: string;
  readonly figure: string;
  /** The number of the figure that is asked for, of several. */
  readonly pick: (values: readonly number[]) => number;
  /** What is given, as one would type it. */
  readonly given: (random: Random) => Readonly<Record<string, string>>;
  readonly asks: (given: Readonly<Record<string, string>>) => string;
  /** How far off an answer may be: in the unit of the figure, or as a share of it. */
  readonly tolerance: { readonly by: number } | { readonly share: number };
}

export interface Drill {
  readonly kind: string;
  readonly given: Readonly<Record<string, string>>;
}

export type Marked =
  | { readonly ok: false; readonly error: FieldError }
  | {
      readonly ok: true;
      readonly isRight: boolean;
      /** What comes out, and what may be off, in the unit of the figure. */
      readonly value: number;
      readonly unit: Figure['unit'];
      readonly tolerance: number;
      readonly working: readonly string[];
      readonly rule: string;
    };

/** An answer that is no length. */
const NUMBER = number('Answer', '', '', 0, 1e9);

/** Parts of an inch, as a rule has them. */
const PARTS = ['1/4', '1/2', '3/4', '1/8', '5/8'] as const;

const oneOf = <T>(random: Random, list: readonly [T, ...(readonly T[])]): T =>
  list[Math.floor(random() * list.length)] ?? list[0];
const between = (random: Random, least: number, most: number, step = 1): number =>
  least + step * Math.floor(random() * ((most - least) / step + 1));
const only = ([value = NaN]: readonly number[]): number => value;

/** What is asked, with tolerances as the trade has them [cp]. */
export const DRILLS: readonly DrillKind[] = [
  {
    id: 'feet',
    title: 'Feet and inches in millimetres',
    question: 'unit-sum',
    figure: 'mm',
    pick: only,
    given: (random) => ({
      sum: `${between(random, 1, 12)} ft ${between(random, 0, 11)} ${oneOf(random, PARTS)} in`,
    }),
    asks: ({ sum }) => `A banner is ${sum} long. How long is that in millimetres?`,
    tolerance: { by: 0.5 },
  },
  {
    id: 'panel',
    title: 'The panel that folds in',
    question: 'fold-panels',
    figure: 'panels',
    pick: (values) => Math.min(...values),
    given: (random) => ({
      size: oneOf(random, ['A4 landscape', '360 x 210 mm', '420 x 200 mm', '297 x 180 mm', '270 x 150 mm']),
      fold: 'letter',
      allowance: `shift:${oneOf(random, ['1', '1.5', '2'])}mm`,
    }),
    asks: ({ size, allowance = '' }) =>
      `A sheet of ${size} is folded as a letter: two panels alike, and the third ` +
      `${3 * Number.parseFloat(allowance.replace('shift:', ''))} mm narrower, so that it folds in. ` +
      'How wide is the third?',
    tolerance: { by: 0.3 },
  },
  {
    id: 'spine',
    title: 'Spine of a book',
    question: 'spine',
    figure: 'spine',
    pick: only,
    given: (random) => ({
      size: '170 x 240 mm',
      pages: String(between(random, 64, 320, 8)),
      thickness: `0.${oneOf(random, ['09', '10', '11', '12', '13', '14'])} mm`,
    }),
    asks: ({ pages, thickness }) => `${pages} pages on paper ${thickness} thick. How thick is the spine?`,
    tolerance: { by: 0.1 },
  },
  {
    id: 'pixels',
    title: 'Pixels for a size',
    question: 'pixels',
    figure: 'pixels',
    pick: only,
    given: (random) => ({
      size: oneOf(random, ['A5', 'A4', '210 x 99 mm', '90 x 50 mm', '6 x 4 in']),
      bleed: oneOf(random, ['3 mm', '2 mm', '5 mm']),
      ppi: oneOf(random, ['300', '200', '150']),
    }),
    asks: ({ size, bleed, ppi }) =>
      `A picture fills a piece of ${size} with ${bleed} of bleed all round, at ${ppi} ppi. How many pixels wide is it?`,
    tolerance: { by: 2 },
  },
  {
    id: 'up',
    title: 'Up on a sheet',
    question: 'sheets',
    figure: 'up',
    pick: only,
    given: (random) => ({
      size: oneOf(random, ['A6', 'A5', '85 x 55 mm', '210 x 99 mm', '100 x 100 mm']),
      bleed: '3 mm',
      sheet: oneOf(random, ['SRA3', '500 x 700 mm', '12 x 18 in']),
    }),
    asks: ({ size, sheet }) =>
      `A piece of ${size} with 3 mm of bleed, in plain rows on a sheet of ${sheet}, 5 mm kept free at ` +
      'each edge. How many are up?',
    tolerance: { by: 0 },
  },
  {
    id: 'need',
    title: 'Sheets and overs',
    question: 'sheets',
    figure: 'need',
    pick: only,
    given: (random) => ({
      size: 'A6',
      bleed: '3 mm',
      sheet: 'SRA3',
      quantity: String(between(random, 1000, 9000, 500)),
      fixed: String(between(random, 20, 120, 10)),
      running: String(between(random, 2, 6)),
    }),
    asks: (given) =>
      `${given['quantity']} copies of A6 on SRA3, 6 up, ${given['fixed']} sheets to make ` +
      `ready and ${given['running']} % ` +
      'spoilt on the way. How many sheets are needed?',
    tolerance: { by: 1 },
  },
  {
    id: 'eye',
    title: 'What the eye resolves',
    question: 'viewing-distance',
    figure: 'eye',
    pick: only,
    given: (random) => ({ distance: `${between(random, 1, 20)} m` }),
    asks: ({ distance }) =>
      `A poster is looked at from ${distance}. How many pixels to the inch can an eye tell apart?`,
    tolerance: { share: 0.05 },
  },
];

/** @throws where there is no such kind: drills are made here */
export function drillKind(id: string): DrillKind {
  const kind = DRILLS.find((one) => one.id === id);
  if (!kind) throw new Error(`There is no drill “${id}”.`);
  return kind;
}

/** A drill of a kind with other numbers each time. */
export const makeDrill = (kind: DrillKind, random: Random): Drill => ({ kind: kind.id, given: kind.given(random) });

/** What comes out of a drill. */
function worked({ kind, given }: Drill): { readonly figure: Figure; readonly value: number } {
  const { question, figure: wanted, pick } = drillKind(kind);
  const asked = QUESTIONS.find(({ id }) => id === question);
  const answer = asked && reckon(asked, given, 'mm');
  const figure = answer?.ok ? answer.figures.find(({ id }) => id === wanted) : undefined;
  if (!figure)
    throw new Error(`The drill “${kind}” has no answer: ${answer && !answer.ok ? answer.error.message : question}`);
  return { figure, value: pick([figure.value].flat()) };
}

/**
 * Whether an answer is right, with the working.
 * @param typed a length in any unit, or a number
 * @param unit  that a bare number is in, of lengths
 */
export function markDrill(drill: Drill, typed: string, unit: JobUnit): Marked {
  const { figure, value } = worked(drill);
  const read = figure.unit === 'mm' ? parseLength(typed, { unit, ppi: 300 }) : NUMBER.read(typed, { unit, ppi: 300 });
  if (!read.ok) return { ok: false, error: read.error };
  const { tolerance } = drillKind(drill.kind);
  const off = 'by' in tolerance ? tolerance.by : tolerance.share * value;
  return {
    ok: true,
    isRight: Math.abs(read.value - value) <= off + 1e-6,
    value,
    unit: figure.unit,
    tolerance: off,
    working: figure.working,
    rule: figure.rule,
  };
}
