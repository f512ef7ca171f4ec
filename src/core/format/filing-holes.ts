import { MM_PER_INCH, type Mm } from '../measure';
import type { ProcessLine, Zone } from './blank';
import { choice, Impossible } from '../parameter';
import { hole, zone } from './sides';

/**
 * Filing holes at the left edge. Two: ISO 838 (6 mm, 80 mm apart, 12 mm from the edge, centred).
 * Four: the same with two more at 80 mm [cp]. Three: North American ring binders, 4.25 in apart (from memory).
 */
export const holesParameter = choice(
  'Filing holes',
  'none',
  'Room for them at the left edge; the back has it at the right.',
  {
    none: 'none',
    two: 'two (ISO 838)',
    four: 'four',
    three: 'three (US)',
  },
);

export const drilledParameter = choice(
  'Holes made',
  'later',
  'By the printer, or by whoever files it.',
  { later: 'by the reader', 'by-printer': 'by the printer' },
  { when: (v) => v['holes'] !== 'none' },
);

const PATTERNS = {
  two: { apart: 80, n: 2, inset: 12, diameter: 6 },
  four: { apart: 80, n: 4, inset: 12, diameter: 6 },
  three: { apart: 4.25 * MM_PER_INCH, n: 3, inset: 0.5 * MM_PER_INCH, diameter: 0.28 * MM_PER_INCH },
} as const;

/** Filing margin: what a binder takes, mm [cp]. */
const MARGIN: Mm = 20;

/** Holes as drill lines, where the printer makes them, and the filing margin as a zone. */
export function filingHoles(
  holes: 'none' | keyof typeof PATTERNS,
  made: 'later' | 'by-printer',
  height: Mm,
): { readonly processLines: readonly ProcessLine[]; readonly zones: readonly Zone[] } {
  if (holes === 'none') return { processLines: [], zones: [] };
  const { apart, n, inset, diameter } = PATTERNS[holes];
  const span = (n - 1) * apart;
  if (span + diameter + 4 > height) {
    const message =
      `${n} holes ${apart.toFixed(0)} mm apart need a sheet at least ${(span + diameter + 4).toFixed(0)} mm ` +
      'high. Take two holes, or none.';
    throw new Impossible('holes', message);
  }
  const first = (height - span) / 2;
  const lines = Array.from({ length: n }, (_, i) => hole(inset, first + i * apart, diameter));
  const margin = { x: 0, y: 0, width: MARGIN, height };
  return {
    processLines: made === 'by-printer' ? lines : [],
    zones: [zone('keep-clear', 'filing margin', margin, 'Holes and the binder’s spine hide what stands here.')],
  };
}
