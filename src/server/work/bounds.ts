import type { Bounds } from '@/output/bounds';

/**
 * What one piece of work may use. The computing time counts, not the time on the clock: a machine with much to do stops nothing
 * that is sound.
 */
export const BOUNDS: Bounds = { seconds: 20, megabytes: 2048 };
