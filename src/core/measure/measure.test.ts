import { execFileSync } from 'node:child_process';
import fc from 'fast-check';
import { formatLength, formatNumber, mmPer, parseLength, parsePair, pixels, type Unit } from './index';

const mm = { unit: 'mm', ppi: 300 } as const;
const inches = { unit: 'in', ppi: 300 } as const;

const value = (text: string, context: { unit: Unit; ppi: number } = mm) => {
  const read = parseLength(text, context);
  if (!read.ok) throw new Error(`${text}: ${read.error.message}`);
  return read.value;
};
const fault = (text: string, context = mm) => {
  const read = parseLength(text, context);
  if (read.ok) throw new Error(`${text} was read as ${read.value}`);
  return read.error;
};

describe('a length field', () => {
  test.each([
    ['10', 10],
    ['10mm', 10],
    ['2.5 cm', 25],
    ['2,5 cm', 25],
    ['1 m', 1000],
    ['1in', 25.4],
    ['1″', 25.4],
    ['1 inch', 25.4],
    ['3 1/2 in', 88.9],
    ['1/8in', 3.175],
    ['1/2 in', 12.7],
    [`5'6"`, 66 * 25.4],
    [`5' 6 1/2"`, 66.5 * 25.4],
    [`5'6`, 66 * 25.4],
    ['5 ft', 1524],
    ['5ft 3in', 63 * 25.4],
    ['72pt', 25.4],
    ['6 pica', 25.4],
    ['12p6', 150 * (25.4 / 72)],
    ['12p', 144 * (25.4 / 72)],
    ['300px', 25.4],
    ['210/2', 105],
    ['279.4mm/3 + 1mm', 279.4 / 3 + 1],
    ['(210 - 2*5)/2', 100],
    ['10 + 1in', 35.4],
    ['-3', -3],
    ['2*(3 + 4) mm', 14],
    ['210 ÷ 2 − 5', 100],
    ['.5', 0.5],
    ['1m 20cm', 1200],
  ])('reads %s as %f mm', (text, expected) => {
    expect(value(text)).toBeCloseTo(expected, 9);
  });

  test('gives a bare number the job’s unit', () => {
    expect(value('3', inches)).toBeCloseTo(76.2, 9);
    expect(value('3 + 1mm', inches)).toBeCloseTo(77.2, 9);
  });

  test.each([
    ['', 0, 'missing'],
    ['12 foo', 3, 'not a unit'],
    ['12 +', 4, 'missing at the end'],
    ['(12', 0, 'never closed'],
    ['12)', 2, 'closes nothing'],
    ['3mm * 4mm', 0, 'area'],
    ['4 / 0', 4, 'zero'],
    ['(4) / 2mm', 0, 'no length'],
    ['12 13', 3, 'sign'],
    ['mm', 0, 'number is missing'],
    ['12 # 3', 3, 'cannot stand'],
    ['12 x 13', 2, 'not a pair'],
    ['6in 5ft', 4, 'sign'],
  ])('refuses %j at character %i', (text, at, words) => {
    const error = fault(text);
    expect(error.at).toBe(at);
    expect(error.message).toContain(words);
  });

  test('what cannot stand in it is named whole', () => {
    const read = parseLength('3 🌙', { unit: 'mm', ppi: 300 });
    expect(read.ok ? '' : read.error.message).toBe('“🌙” cannot stand in a length.');
  });

  test('never throws on any text, and points inside it', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...Array.from('0123456789.,/+-*() xmincftp\'"′″%pxé')) }),
        (text) => {
          const read = parseLength(text, mm);
          if (!read.ok) {
            expect(read.error.at).toBeLessThanOrEqual(text.length);
            expect(read.error.message).not.toBe('');
          } else expect(Number.isFinite(read.value)).toBe(true);
        },
      ),
    );
  });
});

describe('a pair', () => {
  const pair = (text: string, context: { unit: Unit; ppi: number } = mm) => {
    const read = parsePair(text, context);
    if (!read.ok) throw new Error(read.error.message);
    return [read.value.width, read.value.height].map((v) => Math.round(v * 1e6) / 1e6);
  };
  test.each([
    ['148 x 210', [148, 210]],
    ['148x210mm', [148, 210]],
    ['8.5x11in', [215.9, 279.4]],
    ['8.5in x 11', [215.9, 279.4]],
    ['5.5in x 8.5in', [139.7, 215.9]],
    ['24x36in', [609.6, 914.4]],
    [`5' x 3'`, [1524, 914.4]],
    ['5x3ft', [1524, 914.4]],
    ['210 × 99', [210, 99]],
    ['210/2 by 99', [105, 99]],
    ['4in x 100mm', [101.6, 100]],
  ])('reads %s', (text, expected) => {
    expect(pair(text)).toEqual(expected);
  });
  test('says that the second side is missing', () => {
    const read = parsePair('148', mm);
    expect(read.ok ? '' : read.error.message).toContain('second side');
  });
});

test('pixels of a common-practice sheet: 273 × 184 mm at 300 ppi are 3224 × 2173 [cp]', () => {
  expect([pixels(273, 300), pixels(184, 300)]).toEqual([3224, 2173]);
});

describe('against GNU units (Debian’s “units”)', () => {
  // “computerpoint” is its name for 1/72 in; “pica” there is a printer’s pica: twelve computer points stand in.
  const names: Readonly<Record<Exclude<Unit, 'px'>, string>> = {
    mm: 'mm',
    cm: 'cm',
    m: 'm',
    in: 'inch',
    ft: 'ft',
    pt: 'inch/72',
    pica: 'inch/6',
  };
  test.each(Object.entries(names))('one %s', (unit, name) => {
    const out = execFileSync('units', ['-t', '-d', '15', `1 ${name}`, 'mm'], { encoding: 'utf8' });
    expect(mmPer(unit as Unit, 300)).toBeCloseTo(Number(out.trim()), 10);
  });
});

describe('writing', () => {
  test('shows no false digit', () => {
    expect(formatLength(148, 'mm')).toBe('148 mm');
    expect(formatLength(279.4 / 3 + 1, 'mm')).toBe('94.133 mm');
    expect(formatLength(215.9, 'in')).toBe('8.5 in');
    expect(formatLength(3.175, 'in')).toBe('0.125 in');
    expect(formatNumber(-0.00001)).toBe('0');
  });
  test('what is written can be read back to within a thousandth of a millimetre', () => {
    const units = fc.constantFrom<Unit>('mm', 'cm', 'in', 'pt', 'pica');
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), units, (length, unit) => {
        expect(Math.abs(value(formatLength(length, unit)) - length)).toBeLessThan(0.0021);
      }),
    );
  });
});
