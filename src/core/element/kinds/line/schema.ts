import { z } from 'zod';
import { Stroke } from '../../stroke';
import { common } from '../common';

/** A straight line across its box. */
export const Line = z.strictObject({
  kind: z.literal('line'),
  ...common,
  stroke: Stroke,
  slope: z.enum(['down', 'up']).default('down').describe('From which corner of its box it runs.'),
});
export type LineElement = z.infer<typeof Line>;
