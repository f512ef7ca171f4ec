import type { IntakeRule } from '../rule';

/** Content that cannot be read: it may print otherwise than it is seen. */
export const unreadableRule: IntakeRule = {
  id: 'unreadable',
  title: 'Content that cannot be read',
  wish: () => 'A sound file: export it again.',
  look: ({ file }) =>
    file.unreadable.slice(0, 20).map(({ page, why }) => ({ weight: 'fault' as const, page, found: why })),
};
