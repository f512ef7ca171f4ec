import type { Mm } from '../measure';
import { MM_PER_INCH } from '../measure';
import type { Size } from './sizes';

export interface Envelope extends Size {
  readonly name: string;
  readonly series: 'ISO' | 'US';
}

/** ISO 269 (C6, C5, C4, DL, B6, B5), landscape with the flap on the long side, mm. */
const ISO: readonly (readonly [string, number, number])[] = [
  ['C7', 114, 81],
  ['C6', 162, 114],
  ['DL', 220, 110],
  ['C6/C5', 229, 114],
  ['B6', 176, 125],
  ['C5', 229, 162],
  ['B5', 250, 176],
  ['C4', 324, 229],
];

/** North America, inches; from memory, no reference at hand. */
const US: readonly (readonly [string, number, number])[] = [
  ['A2', 5.75, 4.375],
  ['A6', 6.5, 4.75],
  ['A7', 7.25, 5.25],
  ['A8', 8.125, 5.5],
  ['A9', 8.75, 5.75],
  ['A10', 9.5, 6],
  ['No. 6¾', 6.5, 3.625],
  ['No. 9', 8.875, 3.875],
  ['No. 10', 9.5, 4.125],
  ['No. 11', 10.375, 4.5],
];

export const ENVELOPES: readonly Envelope[] = [
  ...ISO.map(([name, width, height]) => ({ name, width, height, series: 'ISO' as const })),
  ...US.map(([name, width, height]) => ({
    name: `${name} (US)`,
    series: 'US' as const,
    width: width * MM_PER_INCH,
    height: height * MM_PER_INCH,
  })),
];

/** An envelope by name: `C5`, `DL`, `A7 (US)`, `a7`. */
export function envelopeNamed(name: string): Envelope | undefined {
  const bare = (text: string) =>
    text
      .toLowerCase()
      .replace(/\(us\)|us|envelope|no\.?|#|\s/g, '')
      .replace('3/4', '¾');
  // C and DL are ISO’s; A7 as an envelope is always the American one.
  return ENVELOPES.find((e) => bare(e.name) === bare(name));
}

/** Least clearance in total each way, mm: 1/8 in [cp]. */
export const ENVELOPE_CLEARANCE = MM_PER_INCH / 8;

export interface EnvelopeFit {
  readonly envelope: Envelope;
  readonly fits: boolean;
  /** Whether the piece goes in a quarter turned against the envelope. */
  readonly turned: boolean;
  /** What is left in total, across and down, mm. */
  readonly clearance: Size;
  /** What has to be left in total each way: 1/8 in, and the thickness of what is inside [cp]. */
  readonly needed: Mm;
}

/** How a flat or folded piece goes into an envelope, the better way round. */
export function fitEnvelope(piece: Size, thickness: Mm, envelope: Envelope): EnvelopeFit {
  const needed = ENVELOPE_CLEARANCE + thickness;
  const ways = [false, true].map((turned) => {
    const [width, height] = turned ? [piece.height, piece.width] : [piece.width, piece.height];
    const clearance = { width: envelope.width - width, height: envelope.height - height };
    const least = Math.min(clearance.width, clearance.height);
    return { fit: { envelope, turned, clearance, needed, fits: least >= needed - 1e-9 }, least };
  });
  const [plain, turned] = ways;
  if (!plain || !turned) throw new RangeError('There are two ways round.');
  return (turned.least > plain.least ? turned : plain).fit;
}

/**
 * The smallest envelope that a piece goes into with clearance: of the series a job is thought in, or else of the other.
 */
export function smallestEnvelope(piece: Size, thickness: Mm, series: Envelope['series']): EnvelopeFit | undefined {
  const fits = ENVELOPES.map((e) => fitEnvelope(piece, thickness, e))
    .filter((fit) => fit.fits)
    .sort((a, b) => a.envelope.width * a.envelope.height - b.envelope.width * b.envelope.height);
  return fits.find((fit) => fit.envelope.series === series) ?? fits[0];
}
