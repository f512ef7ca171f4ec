/** The kinds of files a job can be made into. */
export const EXPORTS = ['press', 'preview', 'die', 'dummy', 'desk', 'working'] as const;
export type ExportKind = (typeof EXPORTS)[number];
