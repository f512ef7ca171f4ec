import { PROCESS, PROCESS_PLATES } from '../colour';
import { itemsOf, plateNames, spotsIn, type Drawing } from '../drawing';
import { pageNumberOf, type BlankSurface } from '../format';
import type { Job, Piece } from '../job';
import type { Rules } from '../rules';
import type { Face } from '../type';
import { marksFor, type MarkedSheet } from './marks';
import { finishLayers, finishesOn, linesOn } from './process-layers';

/** One side of a piece as it goes to press. */
export interface MarkedSide {
  readonly piece: Piece;
  readonly surface: BlankSurface;
  readonly drawing: Drawing;
  readonly rules: Rules;
  /** Smaller than it will be printed, so many times. */
  readonly scale: number;
}

/** The sheet of a side with its marks. @param face sets the slug line, @param date as the slug line says it */
export function sideMarks(job: Job, side: MarkedSide, face: Face | undefined, date: string): MarkedSheet {
  const { piece, surface, drawing, rules } = side;
  const artwork = itemsOf(drawing);
  const layers = finishLayers(finishesOn(piece, surface, drawing), rules);
  const plates = plateNames([...artwork, ...layers.flatMap((layer) => layer.items)]);
  return marksFor({
    boxes: surface.boxes,
    marks: job.output.marks,
    offset: rules.markOffset.value,
    slug: piece.slug,
    face,
    words: { job: job.name, side: nameOf(side), date, plates: [shortNames(plates), ...floodsOf(side)].join(' · ') },
    lines: linesOn(surface, drawing),
    codes: rules.lines,
    inks: { plates: plateNames(artwork), spots: spotsIn(artwork) },
  });
}

/** What the page label of a side is: the number that it carries, or its name where it has none. */
export function pageLabel(piece: Pick<Piece, 'numbering'>, surface: Pick<BlankSurface, 'name'>): number | string {
  const page = pageNumberOf(surface.name);
  return page === undefined ? surface.name : page - 1 + piece.numbering.first;
}

function nameOf({ piece, surface, scale }: MarkedSide): string {
  const label = pageLabel(piece, surface);
  const isRenumbered = typeof label === 'number' && label !== pageNumberOf(surface.name);
  return [
    surface.name,
    ...(isRenumbered ? [`numbered ${label}`] : []),
    ...(scale === 1 ? [] : [`drawn 1:${scale}`]),
  ].join(', ');
}

/** Coatings of a whole side, which need no plate. */
const floodsOf = ({ piece, surface, rules }: MarkedSide): readonly string[] =>
  (piece.finish?.[surface.name] ?? []).flatMap((f) =>
    f.does === 'flood' ? [`${rules.coatings[f.coating].title} all over`] : [],
  );

/** Plates in printing order, process inks by their letters. */
const shortNames = (plates: readonly string[]): string =>
  plates.map((name) => PROCESS.find((ink) => PROCESS_PLATES[ink] === name)?.toUpperCase() ?? name).join(' ');
