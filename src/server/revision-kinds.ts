/** `amend` goes on with the edit before it: undo takes both back at once. */
export const REVISION_KINDS = ['edit', 'amend', 'undo', 'redo'] as const;
export type RevisionKind = (typeof REVISION_KINDS)[number];
