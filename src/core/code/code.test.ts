/** What a code says, by the standards’ own examples, and how large it is. */
import fc from 'fast-check';
import { encode } from '../../bring-in/code';
import {
  SYMBOLOGIES,
  SYMBOLOGY,
  checkDigit,
  codePath,
  codeSize,
  placeCode,
  readContent,
  wholeModules,
  type Symbology,
} from './index';
import { pathArea, subPaths } from '../layout';

const modulesOf = (symbology: Symbology, typed: string) => {
  const read = readContent(symbology, typed);
  if (!read.ok) throw new Error(read.problem);
  const made = encode({ symbology, data: read.data, level: 'M' });
  if (!made.ok) throw new Error(made.problem);
  return made.modules;
};

describe('check digits', () => {
  test.each([
    // GS1 General Specifications, 7.9.1: the worked example of a check digit (from memory).
    ['629104150021', 3],
    // Printed on goods everywhere: an ISBN of the handbook ISBN Users’ Manual (from memory), 978-0-306-40615-7.
    ['978030640615', 7],
    // The GTIN-14 of the GS1 specifications’ example element string (01)09521234543213.
    ['0952123454321', 3],
    // UPC-A of the handbook’s example 0 36000 29145 2 (from memory).
    ['03600029145', 2],
  ])('%s has %i', (digits, check) => expect(checkDigit(digits)).toBe(check));

  test('is added where it is missing, and named where it is wrong', () => {
    expect(readContent('ean-13', '978-0-306-40615')).toMatchObject({ ok: true, data: '9780306406157' });
    expect(readContent('ean-13', '978-0-306-40615-8')).toMatchObject({ ok: false });
    expect(readContent('ean-13', '978-0-306-40615-8')).toHaveProperty(
      'problem',
      expect.stringContaining('has to be 7'),
    );
    expect(readContent('ean-8', '123')).toHaveProperty('problem', expect.stringContaining('has 3 digits; 7, or 8'));
    expect(readContent('gs1-128', '(01)09521234543214')).toHaveProperty('problem', expect.stringContaining('to be 3'));
    expect(readContent('code-128', 'Nächte')).toHaveProperty('problem', expect.stringContaining('“ä” is no sign'));
    expect(readContent('qr', '  ')).toMatchObject({ ok: false });
  });
});

describe('modules by the standards (from memory)', () => {
  test.each([
    // ISO/IEC 15420: 95, 67 and 95 modules, with the white around 113, 81 and 113.
    ['ean-13', '629104150021', 95, 113],
    ['ean-8', '9520000', 67, 81],
    ['upc-a', '03600029145', 95, 113],
  ] as const)('%s has %s: %i, %i with the white around', (symbology, typed, wide, whole) => {
    const modules = modulesOf(symbology, typed);
    expect([modules.wide, wholeModules(symbology, modules).wide]).toEqual([wide, whole]);
  });

  test('EAN-13 at 100 % is 37.29 × 22.85 mm (GS1 General Specifications)', () => {
    const { width, height } = codeSize('ean-13', modulesOf('ean-13', '629104150021'));
    expect(width).toBeCloseTo(37.29, 2);
    expect(height).toBeCloseTo(22.85, 2);
  });

  test('version 1 of a QR code has 21 × 21, the smallest Data Matrix 10 × 10 modules', () => {
    expect([modulesOf('qr', 'A').wide, modulesOf('qr', 'A').high]).toEqual([21, 21]);
    expect([modulesOf('data-matrix', '12').wide, modulesOf('data-matrix', '12').high]).toEqual([10, 10]);
  });
});

test('in a box a code keeps its white, its squares stay square, and all that is dark is drawn', () => {
  const box = fc.record({
    x: fc.double({ min: -50, max: 50, noNaN: true }),
    y: fc.double({ min: -50, max: 50, noNaN: true }),
    width: fc.double({ min: 10, max: 100, noNaN: true }),
    height: fc.double({ min: 10, max: 100, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.constantFrom(...SYMBOLOGIES), box, (symbology, rect) => {
      const typed = { 'ean-13': '629104150021', 'ean-8': '9520000', 'upc-a': '03600029145', 'itf-14': '0952123454321' };
      const modules = modulesOf(symbology, (typed as Record<string, string>)[symbology] ?? '(01)09521234543213');
      const place = placeCode(symbology, modules, rect);
      const { quiet, form } = SYMBOLOGY[symbology];
      expect(place.bars.x - place.whole.x).toBeCloseTo(quiet.left * place.module, 6);
      if (form === 'squares') expect(place.bars.height / modules.high).toBeCloseTo(place.bars.width / modules.wide, 6);
      const dark = modules.runs.reduce((sum, { long }) => sum + long, 0);
      const area = subPaths(codePath(modules, place, { reduction: 0 })).reduce(
        (sum, part) => sum + Math.abs(pathArea(part)),
        0,
      );
      const unit = place.module * (place.bars.height / modules.high);
      expect(area / unit / dark).toBeCloseTo(1, 6);
    }),
    { numRuns: 60 },
  );
});
