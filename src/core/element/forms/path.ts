import { z } from 'zod';
import { mirrorPath, pathText } from '../../geometry';
import { defineForm } from './define';
import { readPathData, stretched } from './path-data';

const schema = z.strictObject({
  form: z.literal('path'),
  data: z
    .string()
    .max(400_000)
    .regex(/^[MLCZ\d\s.,eE+-]*$/)
    .describe('M, L, C and Z with absolute coordinates: 0 to 1 across and down the box.'),
  rule: z.enum(['nonzero', 'evenodd']).default('nonzero').describe('What counts as inside where it crosses itself.'),
});

export const path = defineForm({
  schema,
  label: 'Path',
  words: 'a path',
  key: 'Q',
  proportions: [1.5, 0.5],
  // A half-circle of a wave, to be edited.
  first: { data: 'M0 1C0.2 0 0.4 0 0.5 0.5C0.6 1 0.8 1 1 0' },
  isDrawnAsLine: true,
  fields: [{ kind: 'points' }],
  outline: ({ data }, box) => {
    const read = readPathData(data);
    return read.ok ? stretched(read.path, box) : [];
  },
  isClosed: ({ data }) => data.trimEnd().endsWith('Z'),
  mirrored: (form) => ({ ...form, data: mirroredData(form.data) }),
});

/** A path mirrored across its box; one that cannot be read stays as it is, as it is drawn. */
export function mirroredData(data: string): string {
  const read = readPathData(data);
  return read.ok ? pathText(mirrorPath(read.path, 1)) : data;
}
