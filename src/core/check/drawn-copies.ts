import { composeContextOf, createComposer, type Resources } from '../compose';
import type { Drawing } from '../drawing';
import type { Blank, BlankSurface } from '../format';
import { elementsOn, surfacesToLay, type Element, type Job, type Piece } from '../job';
import { withRecord, type RecordSet } from '../records';
import type { Rules } from '../rules';
import { checkSurface } from './registry';
import { isElsewhere, recordRules } from './record-rules';
import type { Finding } from './rule';

/** One side of one piece, drawn. */
export interface DrawnSide {
  readonly piece: Piece;
  readonly blank: Blank;
  readonly surface: BlankSurface;
  readonly rules: Rules;
  readonly drawing: Drawing;
}

/** A job whose copies differ, with what draws it. */
export interface Copies {
  /** As it is written. */
  readonly document: Job;
  readonly records: RecordSet;
  readonly resources: Resources;
  /** Sides of the copy that every rule has seen. */
  readonly sides: readonly DrawnSide[];
}

/** The sides of one copy. */
export interface DrawnCopy {
  /** From 0. */
  readonly index: number;
  readonly sides: readonly DrawnSide[];
  /** What is wrong with this copy and may be right with others. */
  readonly findings: readonly Finding[];
}

/**
 * Draws copies one after the other: what does not differ is the same object on all of them. Sides that show another one
 * again are left to whoever fills them with records.
 * @param order numbers of records, from 0; left out, all of them as they come
 */
export function* drawnCopies(copies: Copies, order?: Iterable<number>): Generator<DrawnCopy, void> {
  const { document, records, resources } = copies;
  const pieces = document.pieces.map((piece) => {
    const sides = copies.sides.filter((side) => side.piece.id === piece.id && !side.surface.repeats);
    const [first] = sides;
    const ppi = first ? first.rules.ppi.value * first.blank.scale : 300;
    const composer = createComposer(composeContextOf(document, ppi, resources));
    return { id: piece.id, sides, names: sides.map((s) => s.surface.name), composer, blank: first?.blank };
  });
  for (const index of order ?? Array.from({ length: records.count }, (_, i) => i)) {
    const job = withRecord(document, records.at(index));
    const sides = pieces.flatMap(({ id, sides, names, composer, blank }): readonly DrawnSide[] => {
      const piece = job.pieces.find((p) => p.id === id);
      if (!piece || !blank) return [];
      const { drawings } = composer.piece(piece, surfacesToLay(blank, piece), names);
      return sides.flatMap((side, i) => {
        const drawing = drawings[i];
        return drawing ? [{ ...side, piece, drawing }] : [];
      });
    });
    yield { index, sides, findings: findingsOf(job, sides, copies) };
  }
}

/** What may be right on one copy and wrong on the next: words that do not fit, codes, pictures, signs. */
const findingsOf = (job: Job, sides: readonly DrawnSide[], copies: Copies): readonly Finding[] =>
  sides.flatMap(({ piece, surface, drawing, blank }) => {
    const like = copies.sides.find((side) => side.surface === surface)?.drawing;
    const rules = recordRules(drawing, like);
    if (rules.length === 0) return [];
    const written = new Set<Element>(copies.document.pieces.flatMap((p) => elementsOn(p, surface.name)));
    const filled = elementsOn(piece, surface.name);
    // What all copies have where they all have it is told once, by the check of the job.
    const isOwn = (id: string | null) =>
      filled.some((element) => element.id === id && !written.has(element)) ||
      drawing.frames.some((frame) => frame.element === id && isElsewhere(frame, like));
    return checkSurface(job, piece, surface.name, drawing, { blank, rules }).filter(({ element }) => isOwn(element));
  });
