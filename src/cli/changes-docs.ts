import { z } from 'zod';
import { CHANGE_KINDS, type ChangeKind } from '../core/edit';

/** Every change that a list can name, from the registry that the program uses. */
export const changesMarkdown = (): string =>
  [
    '# Lists of changes',
    '',
    'Made from the registry by `npm run formats`; a test notices when the two differ. `ys change JOB --do LIST.json`',
    'makes the changes of a list one after another; where one of them cannot be made, none is. A list that says how a',
    'job begins needs no job: `ys change --do LIST.json --out JOB`. `ys change --json` prints the JSON Schema, and',
    '[examples/meteor-night.json](examples/meteor-night.json) is a whole flyer.',
    '',
    '```json',
    '{',
    '  "format": "yellow-sheet-changes",',
    '  "version": 1,',
    '  "begin": { "kind": "flyer", "set": { "size": "A5", "sides": 2 } },',
    '  "changes": [{ "do": "add", "name": "Title", … }]',
    '}',
    '```',
    '',
    'Lengths are millimetres. Elements are named by what they are called, or by the id they were given.',
    '',
    ...Object.entries(CHANGE_KINDS).flatMap(([about, kinds]) => [`## ${about}`, '', ...kinds.flatMap(section)]),
  ]
    .join('\n')
    .trimEnd()
    .concat('\n');

function section(kind: ChangeKind): readonly string[] {
  const fields = Object.entries<z.ZodType>(kind.schema.shape).filter(([name]) => name !== 'do');
  const lines = fields.map(([name, field]) => {
    const about = z.globalRegistry.get(field)?.description;
    const isNeeded = !field.safeParse(undefined).success;
    return `- \`${name}\`${isNeeded ? '' : ' (may be left out)'}${about ? `: ${about}` : ''}`;
  });
  return [
    `### ${kind.do}`,
    '',
    kind.about,
    '',
    ...(lines.length > 0 ? [...lines, ''] : []),
    '```json',
    JSON.stringify(kind.example),
    '```',
    '',
  ];
}
