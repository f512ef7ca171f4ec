import { noted, type Framed, type Report, type Rule, type Severity } from './rule';

interface Found extends Framed {
  readonly note: { readonly message: string };
}

const reportOf = (severity: Severity, { note, element, frame }: Found): Report => ({
  severity,
  element: element.id,
  where: frame.rect,
  message: note.message,
});

/** A printable finds room for what was decided. */
export const printableRoomRule: Rule = {
  id: 'printable-room',
  title: 'Printable without room',
  why: 'What cannot be worked out in its box is not printed at all.',
  check: (subject) => [
    ...noted(subject, 'printable-impossible').map((found) => reportOf('fault', found)),
    ...noted(subject, 'printable-left').map((found) => reportOf('warning', found)),
  ],
};
