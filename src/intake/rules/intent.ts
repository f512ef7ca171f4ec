import type { IntakeRule } from '../rule';

/** What the colours are meant for (ISO 15930-7, 6.2.2, from memory). */
export const intentRule: IntakeRule = {
  id: 'intent',
  title: 'No output intent',
  wish: () => 'An output intent that says which press the colours are for.',
  look: ({ file }) =>
    file.intent === undefined
      ? [{ weight: 'warning', found: 'The file does not say for which press its colours are.' }]
      : [],
};
