import { House, Stock } from './records';

const SHEETS = {
  SRA3: { name: 'SRA3', width: 320, height: 450 },
  A4: { name: 'A4', width: 210, height: 297 },
  A3: { name: 'A3', width: 297, height: 420 },
  B2: { name: '520 × 720', width: 520, height: 720 },
  B1: { name: '720 × 1020', width: 720, height: 1020 },
  Letter: { name: 'Letter', width: 215.9, height: 279.4 },
  Tabloid: { name: '12 × 18 in', width: 304.8, height: 457.2 },
} as const;

type Facts = readonly [
  name: string,
  kind: Stock['kind'],
  grammage: number,
  thickness: number,
  grain: 'long' | 'short',
  white: string,
  sheets: readonly (keyof typeof SHEETS)[],
  clear?: 'clear',
];

/** Invented papers with the bulk that their kind usually has [cp]. */
const PAPERS: readonly Facts[] = [
  ['Moorgloss 115', 'coated', 115, 0.085, 'long', '#fbfcfd', ['SRA3', 'B2', 'B1']],
  ['Moorgloss 150', 'coated', 150, 0.11, 'long', '#fbfcfd', ['SRA3', 'B2', 'B1']],
  ['Moorgloss 250', 'coated', 250, 0.2, 'long', '#fbfcfd', ['SRA3', 'B2']],
  ['Stillwater silk 115', 'coated', 115, 0.1, 'long', '#fafbfb', ['SRA3', 'B2', 'B1']],
  ['Stillwater silk 130', 'coated', 130, 0.115, 'long', '#fafbfb', ['SRA3', 'B2', 'B1']],
  ['Stillwater silk 130, short grain', 'coated', 130, 0.115, 'short', '#fafbfb', ['SRA3', 'B2']],
  ['Stillwater silk 150', 'coated', 150, 0.13, 'long', '#fafbfb', ['SRA3', 'B2', 'B1', 'Tabloid']],
  ['Stillwater silk 170', 'coated', 170, 0.15, 'long', '#fafbfb', ['SRA3', 'B2', 'B1']],
  ['Stillwater silk 250', 'coated', 250, 0.23, 'short', '#fafbfb', ['SRA3', 'B2']],
  ['Stillwater silk 350', 'coated', 350, 0.34, 'short', '#fafbfb', ['SRA3', 'B2']],
  ['Tarn board 300', 'coated', 300, 0.4, 'long', '#f7f8f6', ['B2', 'B1']],
  ['Heather offset 80', 'uncoated', 80, 0.1, 'long', '#f7f9fc', ['A4', 'A3', 'SRA3', 'B1']],
  ['Heather offset 100', 'uncoated', 100, 0.125, 'long', '#f7f9fc', ['A4', 'A3', 'SRA3', 'B1']],
  ['Heather offset 120', 'uncoated', 120, 0.15, 'long', '#f7f9fc', ['A4', 'SRA3', 'B1']],
  ['Heather offset 160', 'uncoated', 160, 0.2, 'short', '#f7f9fc', ['A4', 'SRA3', 'B2']],
  ['Heather offset 300', 'uncoated', 300, 0.37, 'short', '#f7f9fc', ['SRA3', 'B2']],
  ['Bilberry laid 100', 'uncoated', 100, 0.13, 'long', '#f6f1e4', ['A4', 'Letter']],
  ['Bilberry card 240', 'uncoated', 240, 0.32, 'long', '#f6f1e4', ['A4', 'Letter', 'SRA3']],
  ['Bilberry card 240, short grain', 'uncoated', 240, 0.32, 'short', '#f6f1e4', ['A4', 'Letter', 'SRA3']],
  ['Peat recycled 90', 'uncoated', 90, 0.115, 'long', '#ece9e0', ['A4', 'A3', 'SRA3']],
  ['Peat recycled 140', 'uncoated', 140, 0.18, 'long', '#ece9e0', ['A4', 'SRA3']],
  ['Copier 75', 'uncoated', 75, 0.1, 'long', '#f8fafd', ['Letter', 'Tabloid', 'A4', 'A3']],
  ['Curlew news 52', 'newsprint', 52, 0.08, 'long', '#e6e1d4', ['B1']],
  ['Window film, clear', 'coated', 70, 0.05, 'long', '#f4f7f7', ['SRA3'], 'clear'],
  ['Window vinyl, white', 'coated', 120, 0.1, 'long', '#ffffff', ['SRA3']],
  ['Label gloss, permanent', 'coated', 80, 0.16, 'long', '#fdfdfd', ['A4', 'SRA3']],
  ['Banner PVC 510', 'coated', 510, 0.45, 'long', '#fdfdfd', []],
];

/** The papers that ship; a shop changes them as it likes. */
export const SHIPPED_PAPERS: readonly Stock[] = PAPERS.map(
  ([name, kind, grammage, thickness, grain, white, sheets, clear]) =>
    Stock.parse({
      name,
      kind,
      grammage,
      thickness,
      grain,
      white,
      sheets: sheets.map((s) => SHEETS[s]),
      ...(clear && { clear: true }),
    }),
);

const all = (mm: number) => ({ top: mm, right: mm, bottom: mm, left: mm });

/** Three invented printers: offset, wide format, and the desk in the corner. */
export const SHIPPED_PRINTERS: readonly House[] = [
  House.parse({
    name: 'Copperplate Yard',
    bleed: all(3),
    safe: all(4),
    unprintable: 8,
    sheets: [SHEETS.SRA3, SHEETS.B2, SHEETS.B1],
    minPpi: 250,
    maxPpi: 450,
    inkLimit: 300,
    minTypePt: 5,
    minReversedTypePt: 6,
    minLinePt: 0.25,
    rgb: 'refuse',
    lines: { cut: { spot: 'CutContour' }, score: { form: 'dash-dot', spot: 'Crease' } },
    lineWeightPt: 0.5,
    markOffset: 4,
    trimTolerance: 1,
    foldTolerance: 0.5,
    allowance: 'thickness',
    leadDays: 6,
  }),
  House.parse({
    name: 'Flatbed Nine',
    bleed: all(10),
    safe: all(25),
    unprintable: 20,
    sheets: [
      { name: 'Board 1250 × 2500', width: 1250, height: 2500 },
      { name: 'Roll 1600 × 5000', width: 1600, height: 5000 },
      { name: 'Roll 3200 × 5000', width: 3200, height: 5000 },
    ],
    minPpi: 72,
    maxPpi: 200,
    inkLimit: 260,
    minTypePt: 12,
    minReversedTypePt: 14,
    minLinePt: 1,
    lines: { cut: { spot: 'Thru-cut' }, 'kiss-cut': { spot: 'Kiss' } },
    lineWeightPt: 1,
    marks: { colourBar: false, register: false },
    markOffset: 10,
    trimTolerance: 3,
    foldTolerance: 2,
    allowance: 'even',
    leadDays: 4,
  }),
  House.parse({
    name: 'Corner Counter',
    bleed: all(2),
    safe: all(5),
    unprintable: 5,
    sheets: [SHEETS.A4, SHEETS.A3, SHEETS.SRA3, SHEETS.Letter, SHEETS.Tabloid],
    minPpi: 200,
    maxPpi: 400,
    inkLimit: 280,
    minTypePt: 6,
    minReversedTypePt: 7,
    minLinePt: 0.35,
    marks: { colourBar: false, register: false },
    markOffset: 3,
    trimTolerance: 1.5,
    foldTolerance: 1,
    allowance: 'shift',
    leadDays: 1,
  }),
];
