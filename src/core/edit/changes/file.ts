import { z } from 'zod';
import { describeProblems } from '../../job';
import { JOB_UNITS } from '../../measure';
import { Typed } from './typed';

/** How a job begins, where there is none yet. */
const Begin = z.strictObject({
  kind: z.string().optional().describe('The kind of piece; `ys formats` shows them.'),
  printable: z.string().optional().describe('An entry of the gallery; `ys printables` shows them.'),
  set: Typed,
  name: z.string().min(1).max(200).optional(),
  unit: z.enum(JOB_UNITS).optional(),
  printer: z.string().optional().describe('A printer that ships, by its name.'),
  paper: z.string().optional().describe('A paper that ships, by its name.'),
});

/** A file of changes but for what each of them says. */
export const ChangesFile = z.strictObject({
  format: z.literal('yellow-sheet-changes'),
  version: z.literal(1),
  begin: Begin.optional(),
  changes: z.array(z.looseObject({ do: z.string() })).max(10_000),
});
export type ChangesFile = z.infer<typeof ChangesFile>;

/** A file of changes from its text, or in words what is wrong with it. */
export function readChanges(
  text: string,
): { readonly ok: true; readonly file: ChangesFile } | { readonly ok: false; readonly problems: readonly string[] } {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return { ok: false, problems: [`This is not JSON: ${error instanceof Error ? error.message : ''}`] };
  }
  const read = ChangesFile.safeParse(json);
  return read.success ? { ok: true, file: read.data } : { ok: false, problems: describeProblems(read.error) };
}

/** The files that changes name. */
export const filesNamed = ({ changes }: ChangesFile): readonly string[] => [
  ...new Set(
    changes.flatMap((step) => (step.do === 'bring' && typeof step['file'] === 'string' ? [step['file']] : [])),
  ),
];
