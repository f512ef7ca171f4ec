import type { Coat, Drawing, Item, Path, ProcessLayer } from '../drawing';
import type { BlankSurface } from '../format';
import type { Piece } from '../job';
import { IDENTITY, linePath } from '../layout';
import { ptToMm } from '../measure';
import type { Rules } from '../rules';
import {
  type Coating,
  COATING_STEPS,
  DASHES,
  PROCESSES,
  SHOWN,
  STEP_TYPES,
  type Process,
  type ProcessLine,
} from '../shop';

export const pathOf = (line: ProcessLine): Path => line.path ?? linePath(line.from, line.to);

/** What is done to a side beyond printing: all its lines, and its coated areas. */
export interface Finishes {
  readonly lines: readonly ProcessLine[];
  readonly coats: readonly Coat[];
}

/** All process lines of a side: those of its format, and those that were drawn. */
export const linesOn = (
  surface: Pick<BlankSurface, 'processLines'>,
  drawing: Pick<Drawing, 'lines'>,
): readonly ProcessLine[] =>
  drawing.lines.length > 0 ? [...surface.processLines, ...drawing.lines] : surface.processLines;

const FOLDED: readonly Process[] = ['fold', 'score'];

/** What goes onto layers of the press file: folds that only instruct the folding machine are ticks outside the trim. */
export function finishesOn(
  piece: Pick<Piece, 'foldLines'>,
  surface: Pick<BlankSurface, 'processLines'>,
  drawing: Pick<Drawing, 'lines' | 'coats'>,
): Finishes {
  const lines = linesOn(surface, drawing);
  const { coats } = drawing;
  return piece.foldLines === 'instruction'
    ? { lines: lines.filter((l) => !FOLDED.includes(l.process)), coats }
    : { lines, coats };
}

/** A layer, and what it is for. */
export interface FinishLayer extends ProcessLayer {
  readonly purpose: Process | Coating;
}

/**
 * The layers above the artwork, one a purpose, each on a plate of its own: first coatings in the order in which they
 * are laid on, then process lines in the form and weight that the house wants. None knocks out what is beneath, unless
 * a coating was told to.
 */
export const finishLayers = ({ lines, coats }: Finishes, rules: Rules): readonly FinishLayer[] => [
  ...coatLayers(coats, rules),
  ...processLayers(lines, rules),
];

function coatLayers(coats: readonly Coat[], rules: Rules): readonly FinishLayer[] {
  return [...new Set(coats.map(({ coating }) => coating))].map((coating) => ({
    purpose: coating,
    name: rules.coatings[coating].spot,
    step: COATING_STEPS[coating],
    items: coats.filter((coat) => coat.coating === coating).map((coat) => coated(coat, rules)),
  }));
}

function coated({ id, coating, path, rule, knocksOut, tint, stroke }: Coat, rules: Rules): Item {
  const { spot, shown } = rules.coatings[coating];
  const ink = {
    kind: 'technical',
    name: spot,
    shown,
    ...(tint !== undefined && { tint }),
    ...(knocksOut && { knocksOut }),
  } as const;
  const line = stroke === undefined ? null : { ink, width: stroke, dash: [], cap: 'butt' as const };
  return {
    kind: 'path',
    from: id,
    opacity: 1,
    matrix: IDENTITY,
    path,
    fill: ink,
    stroke: line,
    ...(rule === 'evenodd' && { rule }),
  };
}

/** Process lines alone, for a die maker. */
export function processLayers(lines: readonly ProcessLine[], rules: Rules): readonly FinishLayer[] {
  return PROCESSES.flatMap((process): FinishLayer[] => {
    const own = lines.filter((line) => line.process === process);
    if (own.length === 0) return [];
    return [
      {
        purpose: process,
        name: rules.lines[process].spot,
        step: { group: 'Structural', type: STEP_TYPES[process] },
        items: own.map((line) => stroked(process, line, rules)),
      },
    ];
  });
}

function stroked(process: Process, line: ProcessLine, rules: Rules): Item {
  const { form, spot, shown = SHOWN[process] } = rules.lines[process];
  const ink = { kind: 'technical' as const, name: spot, shown };
  const width = ptToMm(rules.lineWeightPt.value);
  const stroke = { ink, width, dash: DASHES[form], cap: 'butt' as const };
  const from = 'id' in line && typeof line.id === 'string' ? line.id : process;
  return { kind: 'path', from, opacity: 1, matrix: IDENTITY, path: pathOf(line), fill: null, stroke };
}
