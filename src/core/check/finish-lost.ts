import { finishingNamed, refinish, type Rule } from './rule';

/** A line or coating that follows what is no longer there makes nothing. */
export const finishLostRule: Rule = {
  id: 'finish-lost',
  title: 'A line or coating without its shape',
  why: 'What it followed is gone or has no outline, so the plate carries nothing for it.',
  check: (subject) =>
    subject.drawing.notes.flatMap((note) => {
      const finishing = note.kind === 'finish-lost' ? finishingNamed(subject, note.finishing) : undefined;
      if (note.kind !== 'finish-lost' || !finishing) return [];
      const what =
        finishing.does === 'line' ? `A ${finishing.process} line` : subject.rules.coatings[finishing.coating].title;
      return [
        {
          severity: 'fault',
          element: null,
          where: subject.drawing.boxes.trim,
          message: `${what} makes nothing: ${note.why}.`,
          fixes: [refinish(subject, 'Take it away', finishing.id, undefined)],
        },
      ];
    }),
};
