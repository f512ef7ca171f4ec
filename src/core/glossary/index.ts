import { TERMS } from './terms';
import type { Term } from './term';

export { SKETCH, enlarged, sketchShapes, type ScaleDrawing, type Sketch, type SketchMark } from './sketch';
export { TERMS, type TermId } from './terms';
export type { Term } from './term';

const byId = new Map(TERMS.map((term) => [term.id, term]));
const byFigure = new Map(TERMS.flatMap((term) => (term.figures ?? []).map((figure) => [figure, term] as const)));

export const termById = (id: string): Term | undefined => byId.get(id);

/** The word that explains a figure of the sheet, where there is one. */
export const termOfFigure = (figure: string): Term | undefined => byFigure.get(figure);
