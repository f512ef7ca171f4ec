import type { IntakeRule } from '../rule';

/** A press runs no programs. */
export const scriptsRule: IntakeRule = {
  id: 'scripts',
  title: 'Scripts and forms',
  wish: () => 'A file without scripts and without fields to fill in.',
  look: ({ file }) => [
    ...(file.hasScripts ? [{ weight: 'fault' as const, found: 'The file holds a script.' }] : []),
    ...(file.hasForms ? [{ weight: 'fault' as const, found: 'The file holds fields to fill in.' }] : []),
  ],
};
