import { mapLooks, mapTexts, type TextElement } from '../element';
import { FALLBACK_FAMILY } from '../type';
import { noted, replace, type Report, type Rule } from './rule';

const FEATURES: Readonly<Record<string, string>> = {
  lnum: 'lining figures',
  onum: 'old-style figures',
  tnum: 'tabular figures',
  pnum: 'proportional figures',
  dlig: 'discretionary ligatures',
};

/** What the job speaks of has to be there. */
export const missingRule: Rule = {
  id: 'missing',
  title: 'Font or picture missing',
  why: 'Something else stands in for what is missing, and is printed unless somebody sees it.',
  check: (subject) => [
    ...noted(subject, 'missing-font').map(({ note, element, frame }): Report => {
      const message =
        `The font “${note.family}” is not here; ${FALLBACK_FAMILY} stands in. Bring the font in, or choose ` +
        'another.';
      const { book } = subject;
      const uses = (text: TextElement) =>
        mapLooks(text, book, ({ family }) => (family === note.family ? { family: FALLBACK_FAMILY } : {}));
      const fixes = [replace(`Use ${FALLBACK_FAMILY}`, mapTexts(element, book, uses))];
      return { severity: 'fault', element: element.id, where: frame.rect, message, fixes };
    }),
    ...noted(subject, 'missing-picture').map(({ note, element, frame }): Report => {
      if (note.empty && element.kind === 'picture' && element.column !== undefined && element.wants !== '') {
        const message = `The record names the picture “${element.wants}”, which is not among the files. Bring it in.`;
        return { severity: 'fault', element: element.id, where: frame.rect, message };
      }
      const message = note.empty
        ? 'The picture frame is empty. Drop a picture on it, or delete it.'
        : 'The picture is not here. Bring it in again; the frame keeps its place.';
      return { severity: note.empty ? 'warning' : 'fault', element: element.id, where: frame.rect, message };
    }),
    ...noted(subject, 'missing-clip').map(({ element, frame }): Report => ({
      severity: 'warning',
      element: element.id,
      where: frame.rect,
      message: 'The shape that it was clipped to is not on this side any more; it is shown whole.',
      fixes: [replace('Show it whole', { ...element, clipTo: null })],
    })),
    ...noted(subject, 'missing-outline').map(({ element, frame }): Report => ({
      severity: 'fault',
      element: element.id,
      where: frame.rect,
      message: 'The shape that its words run along is not on this side any more; none of them is shown.',
      fixes: element.kind === 'text' ? [replace('Set it straight', { ...element, along: null })] : [],
    })),
    ...noted(subject, 'missing-feature').map(({ note, element, frame }): Report => ({
      severity: 'warning',
      element: element.id,
      where: frame.bounds,
      message:
        `The font has no ${note.features.map((f) => FEATURES[f] ?? f).join(', no ')}; its usual signs are set. ` +
        'Choose another font for it, or the usual figures.',
    })),
    ...noted(subject, 'missing-glyphs').map(({ note, element, frame }): Report => ({
      severity: 'fault',
      element: element.id,
      where: frame.bounds,
      message: `The font has no sign for ${note.characters}; an empty box would be printed. Choose another font.`,
    })),
  ],
};
