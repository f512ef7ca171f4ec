import { noted, type Rule } from './rule';

/** What a code is to say cannot be encoded: nothing is printed of it. */
export const codeWrongRule: Rule = {
  id: 'code-wrong',
  title: 'No code can be made',
  why: 'Digits that are missing, or a check digit that is wrong, are found at the till, when everything is printed.',
  check: (subject) =>
    noted(subject, 'code-wrong').map(({ note, element, frame }) => ({
      severity: 'fault',
      element: element.id,
      where: frame.bounds,
      message: note.problem,
    })),
};
