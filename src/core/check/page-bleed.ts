import type { ElementOf } from '../element';
import { EDGE_NAMES, TOUCH, insets } from '../layout';
import { framed, replace, writeIn, type Report, type Rule, type Subject } from './rule';

/** A page of a PDF that reaches the trim has to go on beyond it, with what it has there or with what is made. */
export const pageBleedRule: Rule = {
  id: 'page-bleed',
  title: 'A PDF page that stops at the trim',
  why: 'The knife wanders by up to a millimetre. Where a page ends at the trim, a white hairline of paper shows.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): readonly Report[] => {
      if (element.kind !== 'page' || frame.items.length === 0) return [];
      const { trim, bleed } = subject.drawing.boxes;
      const [atTrim, reaches] = [insets(frame.rect, trim), insets(frame.ink, bleed)];
      const short = EDGE_NAMES.filter((edge) => Math.abs(atTrim[edge]) <= TOUCH && reaches[edge] > TOUCH);
      if (short.length === 0) return [];
      const most = Math.max(...short.map((edge) => reaches[edge]));
      const where = short.length === EDGE_NAMES.length ? 'trim all round' : `${short.join(' and ')} trim`;
      return [
        {
          severity: element.beyond === 'nothing' ? 'warning' : 'fault',
          element: element.id,
          where: frame.rect,
          message:
            `Ends at the ${where}; ${writeIn(subject.job, most)} of bleed are missing. ` +
            'A page that is white to its edges needs none.',
          fixes: fixesFor(subject, element),
        },
      ];
    }),
};

/** What the file has beyond its trim where that is enough; otherwise its edge mirrored. */
function fixesFor({ job, drawing }: Subject, element: ElementOf<'page'>) {
  const asset = job.assets[element.document];
  const beyond = asset?.kind === 'document' ? asset.pages[element.page - 1]?.beyond : undefined;
  const wanted = insets(drawing.boxes.trim, drawing.boxes.bleed);
  const has = beyond !== undefined && EDGE_NAMES.every((edge) => beyond[edge] >= wanted[edge] - TOUCH);
  return [
    ...(has && element.beyond !== 'own'
      ? [replace('Show what the file has there', { ...element, beyond: 'own' })]
      : []),
    replace('Mirror its edges', { ...element, beyond: 'mirrored' }),
  ];
}
