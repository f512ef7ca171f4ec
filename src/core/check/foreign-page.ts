import { framed, type Report, type Rule } from './rule';

/** A page of somebody else’s document prints by itself only what it brings with it. */
export const foreignPageRule: Rule = {
  id: 'foreign-page',
  title: 'A PDF page that does not bring its fonts',
  why:
    'A press sets words in the fonts that lie in the file. What is not there is replaced, with other widths ' +
    'and other letters, or left out.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): readonly Report[] => {
      if (element.kind !== 'page') return [];
      const asset = subject.job.assets[element.document];
      const fonts = asset?.kind === 'document' ? asset.pages[element.page - 1]?.unembedded : undefined;
      if (!fonts || fonts.length === 0) return [];
      const list = fonts.slice(0, 4).join(', ') + (fonts.length > 4 ? ` and ${fonts.length - 4} more` : '');
      return [
        {
          severity: 'fault',
          element: element.id,
          where: frame.rect,
          message:
            `The page does not carry ${fonts.length === 1 ? 'its font' : 'its fonts'} ${list}. Save the PDF ` +
            'anew with all fonts embedded, and bring it in again.',
        },
      ];
    }),
};
