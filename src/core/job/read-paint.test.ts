import { readPaint } from './index';

test.each([
  ['88 78 38 36', { kind: 'process', c: 88, m: 78, y: 38, k: 36 }],
  ['88/78/38/36', { kind: 'process', c: 88, m: 78, y: 38, k: 36 }],
  ['c0 m14,5 y78 k0', { kind: 'process', c: 0, m: 14.5, y: 78, k: 0 }],
  ['60 %, 40 %, 40 %, 100 %', { kind: 'process', c: 60, m: 40, y: 40, k: 100 }],
  ['#1f2b5A', { kind: 'rgb', r: 31, g: 43, b: 90 }],
  [' Paper ', { kind: 'paper' }],
])('%s is a colour', (text, paint) => expect(readPaint(text)).toEqual({ ok: true, value: paint }));

test.each([
  ['88 78 38', 0, 8, /four numbers, here are 3/],
  ['88 78 138 36', 6, 3, /at most 100/],
  ['navy', 0, 1, /Write a build/],
  ['#1f2b', 0, 1, /sRGB value/],
])('%s is refused where it is wrong', (text, at, length, message) => {
  const read = readPaint(text);
  expect(read.ok ? undefined : read.error).toMatchObject({
    at,
    length,
    message: expect.stringMatching(message) as string,
  });
});

const NAMES = { inks: [{ name: 'Silver' }, { name: 'Moon 7' }], swatches: [{ name: 'Headings' }] };

test.each([
  ['Silver', { spots: [{ ink: 'Silver', tint: 100 }] }],
  ['silver 60 %', { spots: [{ ink: 'Silver', tint: 60 }] }],
  ['Moon 7', { spots: [{ ink: 'Moon 7', tint: 100 }] }],
  ['Moon 7 25', { spots: [{ ink: 'Moon 7', tint: 25 }] }],
  [
    'Silver 50 + Moon 7 + 0 0 0 20',
    {
      k: 20,
      spots: [
        { ink: 'Silver', tint: 50 },
        { ink: 'Moon 7', tint: 100 },
      ],
    },
  ],
  ['“Headings” 40 %', { kind: 'swatch', swatch: 'Headings', tint: 40 }],
])('%s is a colour of the job', (text, expected) => {
  const read = readPaint(text, NAMES);
  expect(read.ok && read.value).toMatchObject(expected);
});

test('more than all of a spot ink is refused', () => {
  expect(readPaint('Silver 130', NAMES).ok).toBe(false);
});
