import type { Figure } from '../figure';
import {
  SCORE_FROM,
  foldFlat,
  paperWarnings,
  type Allowance,
  type Fold,
  type Folded,
  type Folding,
  type Room,
  type Showing,
} from '../fold';
import { cornersOf } from '../layout';
import type { Mm } from '../measure';
import type { Size } from '../paper';
import type { BlankProblem, Panel, ProcessLine } from './blank';
import type { FormatContext, Plan } from './format';
import { Impossible, choice } from '../parameter';
import { mirrorLine, mirrorPanel } from './sides';

export interface FoldedSheet {
  readonly flat: Size;
  /** On the inside, from the left and from the top, mm. */
  readonly columns: readonly Mm[];
  readonly rows: readonly Mm[];
  readonly folds: readonly Fold[];
  /** Names of the panels on both sides, row by row from the left; left out, covers are found and the rest counted. */
  readonly names?: { readonly outside: readonly string[]; readonly inside: readonly string[] };
  /** Columns on the inside that lie tucked in, from the left from 0. */
  readonly tucked?: readonly number[];
  /** How the widths came about. */
  readonly working: readonly string[];
  readonly rule: string;
  readonly crease: CreaseChoice;
  /** The decision to change when something is in the way. */
  readonly parameter: string;
  readonly figures?: readonly Figure[];
  readonly problems?: readonly BlankProblem[];
}

export const creaseParameter = choice(
  'Creases',
  'auto',
  'Folded as it is, or scored first so that it does not crack.',
  {
    auto: 'as the paper needs',
    fold: 'folded',
    score: 'scored',
  },
);
export type CreaseChoice = 'auto' | 'fold' | 'score';

/** Narrowest panel that can be folded by machine, mm [cp]. */
const LEAST_PANEL: Mm = 10;

/** Whether creases are scored: as asked, or from the weight at which paper cracks. */
export const isScored = (crease: CreaseChoice, { stock }: FormatContext): boolean =>
  crease === 'score' || (crease === 'auto' && (stock.grammage ?? 0) >= SCORE_FROM);

/** The allowance as decided, or as the house has it, or by the paper with ± 1 mm as its floor. */
export function roomFor(given: Allowance | undefined, { rules }: FormatContext): Room {
  const caliper = rules.thickness.value;
  const tolerance = rules.foldTolerance.value;
  if (given) return { allowance: given, caliper, tolerance, floor: 0 };
  switch (rules.allowance) {
    case 'even':
      return { allowance: { school: 'even' }, caliper, tolerance, floor: 0 };
    case 'shift':
      return { allowance: { school: 'shift', mm: 1 }, caliper, tolerance, floor: 0 };
    case 'thickness':
      return { allowance: { school: 'thickness', mm: null }, caliper, tolerance, floor: 0 };
    case undefined:
      return { allowance: { school: 'thickness', mm: null }, caliper, tolerance, floor: 1 };
  }
}

/**
 * A sheet with columns and rows that folds flat: its two sides as true mirrors, what happens when it folds, and why.
 */
export function foldedSheet(sheet: FoldedSheet, context: FormatContext): Plan {
  const { flat, columns, rows } = sheet;
  const narrow = Math.min(...columns, ...rows);
  if (narrow < LEAST_PANEL) {
    const message =
      `A panel would be ${narrow < 0 ? 'of negative width' : `${context.write(narrow)} wide`}; a folder needs ` +
      `at least ${context.write(LEAST_PANEL)}. Take a larger sheet, fewer panels or a smaller allowance.`;
    throw new Impossible(sheet.parameter, message);
  }
  const caliper = context.rules.thickness.value;
  const folded = foldFlat(columns, rows, sheet.folds, caliper);
  const names = sheet.names ?? countedNames(folded, columns.length, rows.length);
  const isTucked = (column: number): boolean => sheet.tucked?.includes(column) ?? false;
  const inside: Panel[] = folded.facets.map((f, i) => ({
    name: names.inside[i] ?? `inside ${i + 1}`,
    ...f.rect,
    ...(isTurned(folded, i, 'inside') && { turned: true }),
    ...(isTucked(f.column) && { tucked: true }),
  }));
  const outside: Panel[] = folded.facets.map((f, i) => {
    // Outside names run from the left of the outside: the mirror of the inside within each row.
    const from = f.row * columns.length + (columns.length - 1 - f.column);
    const name = names.outside[from] ?? `outside ${from + 1}`;
    const turned = isTurned(folded, i, 'outside');
    const tucked = isTucked(f.column);
    return mirrorPanel({ name, ...f.rect, ...(turned && { turned }), ...(tucked && { tucked }) }, flat.width);
  });
  outside.sort((a, b) => a.y - b.y || a.x - b.x);
  const process = isScored(sheet.crease, context) ? 'score' : 'fold';
  const lines: ProcessLine[] = folded.creases.map(({ from, to, direction }) => ({ process, from, to, direction }));
  const thickness = folded.layers * caliper;
  return {
    finished: folded.size,
    flat,
    surfaces: [
      { name: 'outside', size: flat, panels: outside, processLines: lines.map((l) => mirrorLine(l, flat.width)) },
      { name: 'inside', size: flat, panels: inside, processLines: lines },
    ],
    folding: foldingOf(folded, inside),
    problems: [
      ...(sheet.problems ?? []),
      ...collisionProblems(folded, inside, sheet.parameter, context),
      ...paperWarnings(context.stock, {
        scored: process === 'score',
        directions: new Set(sheet.folds.map((f) => f.axis)).size === 2 ? halvings(folded.layers) : 1,
        thickness,
        creases: columns.length >= rows.length ? 'upright' : 'level',
        flat,
      }).map(({ message }): BlankProblem => ({ severity: 'warning', message })),
    ],
    figures: [
      {
        id: 'flat',
        group: 'size',
        name: 'Flat',
        value: [flat.width, flat.height],
        unit: 'mm',
        working: [`opened out: ${context.write(flat.width)} × ${context.write(flat.height)}`],
        rule: 'The trimmed size that is printed',
        measured: { kind: 'box', box: 'trim' },
      },
      ...panelFigures(sheet, outside, context),
      {
        id: 'folded-thickness',
        group: 'panels',
        name: 'Folded thickness',
        value: thickness,
        unit: 'mm',
        working: [`${folded.layers} sheets × ${context.write(caliper)} = ${context.write(thickness)}`],
        rule: context.rules.thickness.rule,
      },
      {
        id: 'folds',
        group: 'panels',
        name: 'Folds',
        value: sheet.folds.length,
        unit: 'count',
        working: sheet.folds.map((f, i) => `${i + 1}. ${f.name}`),
        rule: 'In this order, the inside lying up',
      },
      ...(sheet.tucked && sheet.tucked.length > 0
        ? [
            {
              id: 'tucked',
              group: 'panels' as const,
              name: 'Tucked in',
              value: sheet.tucked.length,
              unit: 'count' as const,
              working: inside.filter((p) => p.tucked).map((p) => `${p.name}, ${context.write(p.width)}`),
              rule: 'Panels that lie folded in between others, narrower so that they lie flat',
            },
          ]
        : []),
      ...(sheet.figures ?? []),
    ],
  };
}

/** A row or a column of panels with the distances of its folds. */
function panelFigures(sheet: FoldedSheet, outside: readonly Panel[], { write }: FormatContext): readonly Figure[] {
  const { columns, rows } = sheet;
  const found: Figure[] = [];
  const mirrored = [...columns].reverse();
  if (columns.length > 1) {
    found.push({
      id: 'panels-across',
      group: 'panels',
      name: 'Panels, outside',
      value: mirrored,
      unit: 'mm',
      working: [
        ...sheet.working,
        ...(rows.length === 1 ? [outside.map((p) => `${p.name} ${write(p.width)}`).join(' | ')] : []),
      ],
      rule: sheet.rule,
      measured: { kind: 'stops', axis: 'x', stops: sums(mirrored), surface: 'outside' },
    });
  }
  if (rows.length > 1) {
    found.push({
      id: 'panels-down',
      group: 'panels',
      name: 'Panels, down',
      value: rows,
      unit: 'mm',
      working: sheet.working,
      rule: sheet.rule,
      measured: { kind: 'stops', axis: 'y', stops: sums(rows) },
    });
  }
  return found;
}

export const sums = (sizes: readonly Mm[]): readonly Mm[] =>
  sizes.reduce<Mm[]>((out, size) => [...out, (out.at(-1) ?? 0) + size], [0]);

const foldingOf = (folded: Folded, inside: readonly Panel[]): Folding => ({
  up: 'inside',
  down: 'outside',
  parts: folded.facets.map((f, i) => ({ name: inside[i]?.name ?? '', outline: cornersOf(f.rect) })),
  steps: folded.steps,
  collisions: folded.collisions,
});

/** Whether a face of a facet is read upside down once folded. */
function isTurned(folded: Folded, i: number, face: 'inside' | 'outside'): boolean {
  const state = folded.states[i];
  const shows = [folded.top, folded.bottom].find((s) => s.facet === i && s.face === face);
  return state !== undefined && shows !== undefined && shows.turned;
}

/** Names where a sheet has rows and columns: the two covers, and the rest by row and column. */
function countedNames(folded: Folded, columns: number, rows: number) {
  // The reader begins where the outside is upright.
  const isCover = (s: Showing) => s.face === 'outside' && !s.turned;
  const [front, back] =
    !isCover(folded.top) && isCover(folded.bottom) ? [folded.bottom, folded.top] : [folded.top, folded.bottom];
  const side = (face: 'inside' | 'outside') =>
    Array.from({ length: rows * columns }, (_, at) => {
      const [row, place] = [Math.floor(at / columns), at % columns];
      const column = face === 'inside' ? place : columns - 1 - place;
      const facet = row * columns + column;
      const shows = (s: Showing) => s.face === face && s.facet === facet;
      if (shows(front)) return 'front cover';
      if (shows(back)) return 'back cover';
      return rows === 1 ? `${face} ${place + 1}` : `${face} ${row + 1}·${place + 1}`;
    });
  return { outside: side('outside'), inside: side('inside') };
}

function collisionProblems(
  folded: Folded,
  panels: readonly Panel[],
  parameter: string,
  { write }: FormatContext,
): readonly BlankProblem[] {
  return folded.collisions.map(({ step, facets, kind, by }) => {
    const names = [...new Set(facets.map((f) => panels[f]?.name ?? ''))].slice(0, 3).join(', ');
    const fold = `fold ${step + 1} (${folded.steps[step]?.name ?? ''})`;
    return kind === 'crosses'
      ? {
          severity: 'fault',
          parameter,
          message: `At ${fold}, ${names} reaches ${write(by)} past the crease and would be bent. Make it narrower.`,
        }
      : {
          severity: 'warning',
          parameter,
          message:
            `At ${fold}, ${names} lies in the bend and buckles: it needs ${write(by)} more room. Take an ` +
            'allowance by thickness or a shift.',
        };
  });
}

/** Folds at right angles weigh as much as the halvings that give so many sheets. */
const halvings = (layers: number): number => Math.ceil(Math.log2(Math.max(1, layers)));
