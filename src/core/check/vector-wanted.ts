import { framed, type Report, type Rule } from './rule';

/** A logo made of pixels where its maker has it as lines. */
export const vectorWantedRule: Rule = {
  id: 'vector-wanted',
  title: 'Pixels where a vector logo belongs',
  why: 'A logo as pixels has soft edges in print and cannot be enlarged; its owner has it as a vector file.',
  check: (subject) =>
    framed(subject).flatMap(({ element, frame }): Report[] => {
      if (element.kind !== 'picture' || element.expects !== 'vector' || element.picture === null) return [];
      const message =
        'This frame expects a vector logo and holds a picture. Ask for it as SVG or PDF, and bring that in.';
      return [{ severity: 'warning', element: element.id, where: frame.rect, message }];
    }),
};
