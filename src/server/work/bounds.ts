import type { Bounds } from '@/output/bounds';

/**
 * What one piece of work may use; `YS_WORK_SECONDS` says another time. The computing time counts, not the time on the
 * clock: a machine with much to do stops nothing that is sound.
 */
export const BOUNDS: Bounds = { seconds: Number(process.env['YS_WORK_SECONDS'] ?? 10), megabytes: 2048 };
