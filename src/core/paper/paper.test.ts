import { execFileSync } from 'node:child_process';
import { paperName, paperSize, readSize } from './index';

const context = { unit: 'mm', ppi: 300 } as const;

describe('against Debian’s paperconf (libpaper)', () => {
  // libpaper keeps sizes in points, and rounds some of them to whole ones.
  const same: Readonly<Record<string, string>> = {
    A0: 'a0',
    A1: 'a1',
    A2: 'a2',
    A3: 'a3',
    A4: 'a4',
    A5: 'a5',
    A6: 'a6',
    A7: 'a7',
    A8: 'a8',
    A9: 'a9',
    A10: 'a10',
    B0: 'b0',
    B1: 'b1',
    B2: 'b2',
    B3: 'b3',
    B4: 'b4',
    B5: 'b5',
    C5: 'c5',
    'DL envelope': 'DL',
    letter: 'letter',
    legal: 'legal',
    tabloid: 'tabloid',
    ledger: 'ledger',
    statement: 'statement',
    'half letter': 'halfletter',
    'arch a': 'archA',
    'arch b': 'archB',
    'arch c': 'archC',
    'arch d': 'archD',
    'arch e': 'archE',
  };
  test.each(Object.entries(same))('%s', (name, theirs) => {
    const out = execFileSync('paperconf', ['-s', '-m', '-p', theirs], { encoding: 'utf8' });
    const [width, height] = [...out.matchAll(/[\d.]+/g)].map(Number);
    const ours = paperSize(name);
    expect(Math.abs((ours?.width ?? 0) - (width ?? 0))).toBeLessThan(0.4);
    expect(Math.abs((ours?.height ?? 0) - (height ?? 0))).toBeLessThan(0.4);
  });
});

test('ISO 216: each A size is the larger one halved, rounded down to the millimetre', () => {
  for (let n = 0; n < 10; n += 1) {
    const [larger, smaller] = [paperSize(`A${n}`), paperSize(`A${n + 1}`)];
    expect(smaller).toEqual({ width: Math.floor((larger?.height ?? 0) / 2), height: larger?.width });
  }
});

test('names are read as people write them', () => {
  expect(paperSize('a5')).toEqual({ width: 148, height: 210 });
  expect(paperSize('A5 landscape')).toEqual({ width: 210, height: 148 });
  expect(paperSize('letter landscape')).toEqual({ width: 11 * 25.4, height: 8.5 * 25.4 });
  expect(paperSize('US Letter')).toEqual({ width: 8.5 * 25.4, height: 11 * 25.4 });
  expect(paperSize('half-letter')).toEqual({ width: 5.5 * 25.4, height: 8.5 * 25.4 });
  expect(paperSize('SRA3')).toEqual({ width: 320, height: 450 });
  expect(paperSize('constructor')).toBeUndefined();
});

test('a size is known by its name', () => {
  expect(paperName({ width: 148, height: 210 })).toBe('A5');
  expect(paperName({ width: 297, height: 210 })).toBe('A4 landscape');
  expect(paperName({ width: 139.7, height: 215.9 })).toBe('half letter');
  expect(paperName({ width: 123, height: 45 })).toBeUndefined();
});

test('a size field takes names and pairs, and says what is wrong', () => {
  expect(readSize('A5', context)).toEqual({ ok: true, value: { width: 148, height: 210 } });
  expect(readSize('148 x 210', context)).toEqual({ ok: true, value: { width: 148, height: 210 } });
  const wrong = readSize('A55', context);
  expect(wrong.ok ? '' : wrong.error.message).toContain('not a paper');
});
