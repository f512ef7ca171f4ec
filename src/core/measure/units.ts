/** A unit of length a designer may write. `px` depends on the job's resolution. */
export type Unit = 'mm' | 'cm' | 'm' | 'in' | 'ft' | 'pt' | 'pica' | 'px';

/** Millimetres. Every length in the core is one of these. */
export type Mm = number;

export const MM_PER_INCH = 25.4;
/** PDF user space: 72 points to the inch, exactly. */
export const PT_PER_INCH = 72;
export const MM_PER_PT = MM_PER_INCH / PT_PER_INCH;

/** Units a job can be set in; `px` is for reading only, because it changes with the resolution. */
export const JOB_UNITS = ['mm', 'cm', 'in', 'pt', 'pica'] as const satisfies readonly Unit[];
export type JobUnit = (typeof JOB_UNITS)[number];

/** Spellings accepted in a field, lower case. */
const SPELLINGS: Readonly<Record<string, Unit>> = {
  mm: 'mm',
  millimetre: 'mm',
  millimetres: 'mm',
  millimeter: 'mm',
  millimeters: 'mm',
  cm: 'cm',
  centimetre: 'cm',
  centimetres: 'cm',
  centimeter: 'cm',
  centimeters: 'cm',
  m: 'm',
  metre: 'm',
  metres: 'm',
  meter: 'm',
  meters: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  '”': 'in',
  "''": 'in',
  ft: 'ft',
  foot: 'ft',
  feet: 'ft',
  "'": 'ft',
  '′': 'ft',
  '’': 'ft',
  pt: 'pt',
  point: 'pt',
  points: 'pt',
  pica: 'pica',
  picas: 'pica',
  pc: 'pica',
  p: 'pica',
  px: 'px',
  pixel: 'px',
  pixels: 'px',
};

/** The unit a spelling stands for, or undefined. */
export function unitOf(spelling: string): Unit | undefined {
  return Object.hasOwn(SPELLINGS, spelling.toLowerCase()) ? SPELLINGS[spelling.toLowerCase()] : undefined;
}

/**
 * Millimetres in one of the unit. 1 in = 25.4 mm = 72 pt exactly (ISO 80000-3; PDF user space).
 * @param ppi pixels per inch; only `px` needs it
 */
export function mmPer(unit: Unit, ppi: number): Mm {
  switch (unit) {
    case 'mm':
      return 1;
    case 'cm':
      return 10;
    case 'm':
      return 1000;
    case 'in':
      return MM_PER_INCH;
    case 'ft':
      return MM_PER_INCH * 12;
    case 'pt':
      return MM_PER_PT;
    case 'pica':
      return MM_PER_PT * 12;
    case 'px':
      return MM_PER_INCH / ppi;
  }
}

export const ptToMm = (pt: number): Mm => pt * MM_PER_PT;
export const mmToPt = (mm: Mm): number => mm / MM_PER_PT;

/** Whole pixels that cover a length at a resolution: round(mm ÷ 25.4 × ppi). */
export const pixels = (mm: Mm, ppi: number): number => Math.round((mm / MM_PER_INCH) * ppi);
