import {
  insetsOf,
  plainParagraphs,
  styleBook,
  withSide,
  elementsOn,
  type ElementOf,
  type Job,
  withPiece,
} from '../job';
import { ptToMm } from '../measure';
import { leadingOf, placeholderText } from '../type';
import type { DrawnJob } from './drawn-job';

/** Width of a letter, as a share of the size: enough to guess how many a frame holds [cp]. */
const LETTER = 0.46;

/** The job with a text frame about filled with words that say nothing, in the text’s own language. */
export function withPlaceholder({ job, piece, surface, drawing }: DrawnJob, text: ElementOf<'text'>): Job {
  const placed = drawing.boxes.placed[text.id];
  const inset = insetsOf(text.inset, drawing.boxes.measures);
  const look = styleBook(job).base(text);
  const size = ptToMm(look.sizePt);
  const lines = Math.max(1, Math.floor(((placed?.height ?? 20) - inset.top - inset.bottom) / ptToMm(leadingOf(look))));
  const across = ((placed?.width ?? 60) - inset.left - inset.right) / (size * LETTER);
  const letters = Math.min(20_000, Math.max(12, Math.floor(lines * across * 0.92)));
  const words = placeholderText(text.language ?? job.language, letters, text.id.length + letters);
  const elements = elementsOn(piece, surface.name).map((e) =>
    e.id === text.id && e.kind === 'text' ? { ...e, paragraphs: plainParagraphs(words) } : e,
  );
  return withPiece(job, withSide(piece, surface.name, elements));
}
