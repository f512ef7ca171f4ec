import type { Mm } from '../measure';

export interface Size {
  readonly width: Mm;
  readonly height: Mm;
}

/** ISO 216 A and B, ISO 269 C, portrait, mm. */
const ISO: Readonly<Record<string, readonly [number, number]>> = {
  a0: [841, 1189],
  a1: [594, 841],
  a2: [420, 594],
  a3: [297, 420],
  a4: [210, 297],
  a5: [148, 210],
  a6: [105, 148],
  a7: [74, 105],
  a8: [52, 74],
  a9: [37, 52],
  a10: [26, 37],
  b0: [1000, 1414],
  b1: [707, 1000],
  b2: [500, 707],
  b3: [353, 500],
  b4: [250, 353],
  b5: [176, 250],
  b6: [125, 176],
  b7: [88, 125],
  b8: [62, 88],
  b9: [44, 62],
  b10: [31, 44],
  c0: [917, 1297],
  c1: [648, 917],
  c2: [458, 648],
  c3: [324, 458],
  c4: [229, 324],
  c5: [162, 229],
  c6: [114, 162],
  c7: [81, 114],
  // The trade calls a third of A4 “DL” after the envelope it goes into (ISO 269: 110 × 220).
  dl: [99, 210],
  'dl envelope': [110, 220],
  // Untrimmed sheets, ISO 217.
  ra0: [860, 1220],
  ra1: [610, 860],
  ra2: [430, 610],
  ra3: [305, 430],
  ra4: [215, 305],
  sra0: [900, 1280],
  sra1: [640, 900],
  sra2: [450, 640],
  sra3: [320, 450],
  sra4: [225, 320],
};

/** Sizes of North America, inches (ANSI/ASME Y14.1 for letter and tabloid; the rest from memory). */
const INCH: Readonly<Record<string, readonly [number, number]>> = {
  letter: [8.5, 11],
  legal: [8.5, 14],
  tabloid: [11, 17],
  ledger: [17, 11],
  'half letter': [5.5, 8.5],
  statement: [5.5, 8.5],
  executive: [7.25, 10.5],
  'quarter letter': [4.25, 5.5],
  'arch a': [9, 12],
  'arch b': [12, 18],
  'arch c': [18, 24],
  'arch d': [24, 36],
  'arch e': [36, 48],
};

const ISO_BY_NAME = new Map(Object.entries(ISO).map(([name, sides]) => [name.replace(/ /g, ''), sides]));

const ORIENTATION = /\b(landscape|portrait)\b/;

/** Every paper name a size field knows, as people write them. */
export const PAPER_NAMES: readonly string[] = [
  ...Object.keys(ISO).map((n) => n.replace(/^\w+/, (code) => code.toUpperCase())),
  ...Object.keys(INCH),
];

/**
 * The size a paper name stands for: `A5`, `letter landscape`, `half letter`, `SRA3`.
 * Case and spacing do not matter; without a word for it the name's own orientation stands.
 * @returns the size in mm, or undefined when it is no paper name
 */
export function paperSize(name: string): Size | undefined {
  const clean = name
    .trim()
    .toLowerCase()
    .replace(/[-_\s]+/g, ' ');
  const turn = ORIENTATION.exec(clean)?.[1];
  const bare = clean.replace(ORIENTATION, '').replace('  ', ' ').trim().replace(/^us /, '');
  const iso = ISO_BY_NAME.get(bare.replace(/ /g, ''));
  const inch = Object.hasOwn(INCH, bare) ? INCH[bare] : undefined;
  const sides = iso ?? inch?.map((side) => side * 25.4);
  if (!sides) return undefined;
  const [a = 0, b = 0] = sides;
  if (turn === 'landscape') return { width: Math.max(a, b), height: Math.min(a, b) };
  if (turn === 'portrait') return { width: Math.min(a, b), height: Math.max(a, b) };
  return { width: a, height: b };
}

/** The paper name of a size, either way round, within 0.05 mm. */
export function paperName(size: Size): string | undefined {
  for (const name of PAPER_NAMES) {
    const paper = paperSize(name);
    if (!paper) continue;
    const near = (a: number, b: number) => Math.abs(a - b) < 0.05;
    if (near(paper.width, size.width) && near(paper.height, size.height)) return name;
    if (near(paper.width, size.height) && near(paper.height, size.width)) {
      return `${name} ${size.width > size.height ? 'landscape' : 'portrait'}`;
    }
  }
  return undefined;
}
