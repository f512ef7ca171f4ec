import type { Mm } from '../measure';

/** Codes that a machine reads. */
export const SYMBOLOGIES = ['ean-13', 'ean-8', 'upc-a', 'itf-14', 'code-128', 'gs1-128', 'qr', 'data-matrix'] as const;
export type Symbology = (typeof SYMBOLOGIES)[number];

/** What a standard says of the size of a code. Lengths of quiet zones in modules. */
export interface SymbologyFacts {
  readonly title: string;
  /** Bars side by side, or squares in rows. */
  readonly form: 'bars' | 'squares';
  /** Width of the narrowest bar, or side of a square, mm. */
  readonly module: { readonly usual: Mm; readonly least: Mm; readonly most: Mm };
  /** Left white beside it. */
  readonly quiet: { readonly left: number; readonly right: number; readonly above: number; readonly below: number };
  /** How high bars are at the usual module, mm; 0 where squares say it. */
  readonly height: Mm;
  /** Where that comes from. */
  readonly source: string;
}

/** A magnification of 80 to 200 percent of 0.33 mm (ISO/IEC 15420; GS1 General Specifications; from memory). */
const RETAIL = { usual: 0.33, least: 0.264, most: 0.66 } as const;
/** For logistics (GS1 General Specifications, from memory). */
const LOGISTIC = { usual: 0.508, least: 0.495, most: 1.016 } as const;

const bars = (left: number, right: number) => ({ left, right, above: 0, below: 0 });
const around = (quiet: number) => ({ left: quiet, right: quiet, above: quiet, below: quiet });

export const SYMBOLOGY: Readonly<Record<Symbology, SymbologyFacts>> = {
  'ean-13': {
    title: 'EAN-13',
    form: 'bars',
    module: RETAIL,
    quiet: bars(11, 7),
    height: 22.85,
    source: 'ISO/IEC 15420: 80 to 200 % of 0.33 mm, 11 and 7 modules white (from memory)',
  },
  'ean-8': {
    title: 'EAN-8',
    form: 'bars',
    module: RETAIL,
    quiet: bars(7, 7),
    height: 18.23,
    source: 'ISO/IEC 15420: 80 to 200 % of 0.33 mm, 7 modules white (from memory)',
  },
  'upc-a': {
    title: 'UPC-A',
    form: 'bars',
    module: RETAIL,
    quiet: bars(9, 9),
    height: 22.85,
    source: 'ISO/IEC 15420: 80 to 200 % of 0.33 mm, 9 modules white (from memory)',
  },
  'itf-14': {
    title: 'ITF-14',
    form: 'bars',
    module: LOGISTIC,
    quiet: bars(10, 10),
    height: 31.75,
    source: 'ISO/IEC 16390, GS1: 0.495 to 1.016 mm, 10 modules white (from memory)',
  },
  'code-128': {
    title: 'Code 128',
    form: 'bars',
    module: { usual: 0.33, least: 0.19, most: 2 },
    quiet: bars(10, 10),
    height: 15,
    source: 'ISO/IEC 15417: 10 modules white; from 0.19 mm on by the printing (common practice)',
  },
  'gs1-128': {
    title: 'GS1-128',
    form: 'bars',
    module: LOGISTIC,
    quiet: bars(10, 10),
    height: 31.75,
    source: 'ISO/IEC 15417, GS1: 0.495 to 1.016 mm, 10 modules white (from memory)',
  },
  qr: {
    title: 'QR code',
    form: 'squares',
    module: { usual: 0.5, least: 0.33, most: 50 },
    quiet: around(4),
    height: 0,
    source: 'ISO/IEC 18004: 4 modules white; from 0.33 mm on for a telephone (common practice)',
  },
  'data-matrix': {
    title: 'Data Matrix',
    form: 'squares',
    module: { usual: 0.5, least: 0.25, most: 50 },
    quiet: around(1),
    height: 0,
    source: 'ISO/IEC 16022: 1 module white; from 0.25 mm on (common practice)',
  },
};

/** How much of a QR code may be lost and is still read: 7, 15, 25 and 30 percent (ISO/IEC 18004). */
export const QR_LEVELS = ['L', 'M', 'Q', 'H'] as const;
export type QrLevel = (typeof QR_LEVELS)[number];
