import type { ReadFile } from '../painted';
import type { Found, IntakeRule } from '../rule';

/** A wanting of a file, where it is one. */
type Wanting = (file: ReadFile) => string | undefined;

/** What PDF/X-4 asks of a file beyond what the other rules look at (ISO 15930-7, clauses from memory). */
const ASKED: readonly Wanting[] = [
  // 6.1, 6.3: it says itself that it follows the standard.
  ({ frame: { claims } }) =>
    claims === undefined
      ? 'It does not say that it follows a standard.'
      : /^PDF\/X-4$/.test(claims)
        ? undefined
        : `It says that it follows ${claims}.`,
  // 6.1.3: an identifier.
  ({ frame }) => (frame.hasId ? undefined : 'It has no identifier.'),
  // 6.2.2: an output intent with its profile, or with the name of a registered condition.
  ({ frame, intent }) =>
    intent === undefined || frame.hasProfile ? undefined : 'Its output intent brings no profile and names no register.',
  // 6.2.1: nothing later than PDF 1.6.
  ({ version }) =>
    Number(version) > 1.6 ? `It is written as PDF ${version}; PDF 1.6 is the newest that is allowed.` : undefined,
  // 6.1: it says whether traps are in it.
  ({ frame }) => (frame.saysTrapped ? undefined : 'It does not say whether it is trapped.'),
  ({ frame }) => (frame.hasFiles ? 'Other files lie in it.' : undefined),
  // 6.2.3: every page says where it is cut.
  ({ pages }) => (pages.every(({ trim }) => trim) ? undefined : 'Not every page says where it is cut.'),
];

/** Held to the standard that the house wants, from the bytes. */
export const standardRule: IntakeRule = {
  id: 'standard',
  title: 'Not what the standard wants',
  wish: ({ standard }) => `${standard ?? 'PDF/X-4'}, as your program exports it.`,
  look: ({ file, house }) =>
    house.standard === undefined
      ? []
      : ASKED.flatMap((wanting): readonly Found[] => {
          const found = wanting(file);
          return found === undefined ? [] : [{ weight: 'fault', found }];
        }),
};
