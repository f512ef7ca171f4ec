import { perPage, type IntakeRule } from '../rule';

/** Words that are there to be searched and not to be seen, as a scanner adds them. */
export const textInvisibleRule: IntakeRule = {
  id: 'text-invisible',
  title: 'Words that are not painted',
  wish: () => 'Nothing to do, if the page is a scan.',
  look: ({ file }) => perPage(file.unseen, () => ({ weight: 'note', found: 'Words lie on it that do not print.' })),
};
