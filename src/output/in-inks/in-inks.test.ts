/**
 * Other people’s RGB in the press’s inks: against Little CMS’s own command line (transicc), on plates that
 * Ghostscript separates of the press file.
 */
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import sharp from 'sharp';
import { pdfOf } from '../../testing/exports';
import { placed, rawPdf, type Raw } from '../../testing/foreign-pages';
import { transicc } from '../../testing/picture-kinds';
import { platesOf, type Plate } from '../../testing/programs';
import { calculator } from './calculator';
import { contentInInks } from './content-in-inks';
import { writtenOperations } from './written-operations';

const SRGB = '/usr/share/color/icc/sRGB.icc';
const WIDE = '/usr/share/color/icc/compatibleWithAdobeRGB1998.icc';
const PRESS = 'assets/profiles/coated-fogra39.icc';
const NAMES = ['Cyan', 'Magenta', 'Yellow', 'Black'] as const;

/** Bytes as a stream of a raw PDF, hexadecimal. */
const hexStream = (entries: string, bytes: Uint8Array): string => {
  const hex = Buffer.from(bytes).toString('hex');
  return `<<${entries}/Filter/ASCIIHexDecode/Length ${hex.length + 1}>>stream\n${hex}>\nendstream`;
};

/** Inks at points of a page from its lower left, percent. */
async function inksAt(raw: Raw): Promise<(x: number, y: number) => readonly number[]> {
  const { job, files } = await placed([rawPdf(raw)]);
  const plates = await platesOf(await pdfOf(job, files), 1, 72);
  const at = (plate: Plate | undefined, x: number, y: number) => (plate?.at(x, 99.5 - y) ?? 0) * 100;
  return (x, y) => NAMES.map((name) => at(plates.get(name), x, y));
}

const expected = (profile: string, rgb: readonly number[]): readonly number[] =>
  transicc(profile, PRESS, [rgb])[0] ?? [];

function expectNear(found: readonly number[], wanted: readonly number[], percent = 1): void {
  const off = Math.max(...wanted.map((ink, i) => Math.abs(ink - (found[i] ?? 0))));
  expect([off < percent, found, wanted]).toEqual([true, found, wanted]);
}

describe('what is RGB has the inks that transicc gives it, within one percent', () => {
  test('areas, lines and what is in a form', async () => {
    const form =
      '<</Type/XObject/Subtype/Form/BBox[0 0 100 100]/Resources<<>>/Length 34>>stream\n' +
      '0.2 0.8 0.4 rg 60 60 30 30 re f    \nendstream';
    const at = await inksAt({
      content: 'q 0.9 0.3 0.1 rg 10 10 30 30 re f Q q 0.1 0.2 0.7 RG 20 w 60 20 m 90 20 l S Q /F Do',
      resources: '/XObject<</F 5 0 R>>',
      objects: [form],
    });
    expectNear(at(25, 25), expected(SRGB, [229.5, 76.5, 25.5]));
    expectNear(at(75, 20), expected(SRGB, [25.5, 51, 178.5]));
    expectNear(at(75, 75), expected(SRGB, [51, 204, 102]));
  });

  test('a space with a profile, and what it begins with', async () => {
    const icc = hexStream('/N 3', new Uint8Array(readFileSync(WIDE)));
    const at = await inksAt({
      content: '/W cs 0 1 0 sc 10 10 30 30 re f 0.2 0.4 0.9 sc 60 60 30 30 re f /W cs 60 10 30 30 re f',
      resources: '/ColorSpace<</W[/ICCBased 5 0 R]>>',
      objects: [icc],
    });
    // Adobe RGB’s green is wider than sRGB’s.
    expectNear(at(25, 25), expected(WIDE, [0, 255, 0]));
    expectNear(at(75, 75), expected(WIDE, [51, 102, 229.5]));
    expectNear(at(75, 25), [0, 0, 0, 100]);
  });

  test('pictures: samples, a JPEG, and one by a list of colours', async () => {
    const pixel = (rgb: readonly number[]) => Uint8Array.from(rgb);
    const jpeg = await sharp({ create: { width: 16, height: 16, channels: 3, background: { r: 40, g: 160, b: 90 } } })
      .jpeg({ quality: 100, chromaSubsampling: '4:4:4' })
      .toBuffer();
    const image = '/Type/XObject/Subtype/Image/BitsPerComponent 8';
    const hex = Buffer.from(jpeg).toString('latin1');
    const at = await inksAt({
      content: 'q 30 0 0 30 10 10 cm /A Do Q q 30 0 0 30 60 10 cm /B Do Q q 30 0 0 30 10 60 cm /C Do Q',
      resources: '/XObject<</A 5 0 R/B 6 0 R/C 7 0 R>>',
      objects: [
        hexStream(`${image}/Width 1/Height 1/ColorSpace/DeviceRGB`, pixel([200, 30, 120])),
        `<<${image}/Width 16/Height 16/ColorSpace/DeviceRGB/Filter/DCTDecode/Length ${jpeg.length}>>` +
          `stream\n${hex}\nendstream`,
        hexStream(`${image}/Width 1/Height 1/ColorSpace[/Indexed/DeviceRGB 1<1020F0E0A010>]`, pixel([1])),
      ],
    });
    expectNear(at(25, 25), expected(SRGB, [200, 30, 120]));
    expectNear(at(75, 25), expected(SRGB, [40, 160, 90]), 1.5);
    expectNear(at(25, 75), expected(SRGB, [0xe0, 0xa0, 0x10]));
  });

  test('a gradient, whichever function it runs by', async () => {
    const power = '<</FunctionType 2/Domain[0 1]/C0[1 0 0]/C1[0 0 1]/N 1>>';
    const halves =
      '<</FunctionType 3/Domain[0 1]/Bounds[0.5]/Encode[0 1 0 1]/Functions[' +
      '<</FunctionType 2/Domain[0 1]/C0[1 1 0]/C1[0 1 1]/N 1>>' +
      '<</FunctionType 2/Domain[0 1]/C0[0 1 1]/C1[1 0 1]/N 1>>]>>';
    const typed = '{ dup 1 exch sub exch 0 exch }';
    const shading = (f: string, y0: number) =>
      `<</ShadingType 2/ColorSpace/DeviceRGB/Coords[0 ${y0} 100 ${y0}]/Function ${f}>>`;
    const at = await inksAt({
      content: 'q 0 0 100 30 re W n /A sh Q q 0 35 100 30 re W n /B sh Q q 0 70 100 30 re W n /C sh Q',
      resources: `/Shading<</A ${shading(power, 15)}/B ${shading(halves, 50)}/C ${shading('5 0 R', 85)}>>`,
      objects: [`<</FunctionType 4/Domain[0 1]/Range[0 1 0 1 0 1]/Length ${typed.length}>>stream\n${typed}\nendstream`],
    });
    // The middle of a pixel: half a point further.
    const share = (x: number) => (x + 0.5) / 100;
    expectNear(at(20, 15), expected(SRGB, [255 * (1 - share(20)), 0, 255 * share(20)]), 2);
    expectNear(at(20, 50), expected(SRGB, [255 * (1 - 2 * share(20)), 255, 255 * 2 * share(20)]), 2);
    expectNear(at(70, 85), expected(SRGB, [255 * (1 - share(70)), 0, 255 * share(70)]), 2);
  });

  test('grey words, lines and areas are in black alone, as light as the grey', async () => {
    const at = await inksAt({
      content: '0 0 0 rg 10 10 30 30 re f 0.5 0.5 0.5 rg 60 10 30 30 re f 1 1 1 rg 10 60 30 30 re f',
    });
    expectNear(at(25, 25), [0, 0, 0, 100]);
    expectNear(at(25, 75), [0, 0, 0, 0]);
    const [c = 0, m = 0, y = 0, k = 0] = at(75, 25);
    expect([c, m, y]).toEqual([0, 0, 0]);
    // The same lightness by transicc as the grey has in four inks.
    const lightness = (inks: readonly number[]) => transicc(PRESS, '*Lab', [inks])[0]?.[0] ?? 0;
    expect(lightness([0, 0, 0, k])).toBeCloseTo(lightness(expected(SRGB, [127.5, 127.5, 127.5])), 0);
  });
});

test('what is no RGB stays as it is written, to the byte', () => {
  const texts = [
    'q 0 0 0 1 k (a \\) rg (b)) Tj <48> Tj [(x) 20 (1 0 0 rg)] TJ Q % 1 0 0 rg\n/Im Do',
    'BT /F 12 Tf 1 0 0 1 10 10 Tm (RG) Tj ET /S cs 0.5 scn /OC /A BDC EMC',
    'q BI /W 1 /H 1 /BPC 8 /CS /RGB ID \x01 rg EI Q',
    '/P <</MCID 0 /B [1 2 (x)]>> BDC 0.5 g EMC',
  ];
  for (const text of texts) expect(contentInInks(text, () => undefined)).toBe(text);
});

test('colours are written in the place of colours, in whatever state they stand', () => {
  const half = () => [0.1, 0.2, 0.3, 0.4] as const;
  const rgbOf = (name: string) => (name === 'DeviceRGB' || name === 'Cs1' ? half : undefined);
  const inInks = (text: string) => contentInInks(text, rgbOf);
  expect(inInks('1 0 0 rg')).toBe('0.1 0.2 0.3 0.4 k');
  expect(inInks('1 0 0 RG 5 w')).toBe('0.1 0.2 0.3 0.4 K 5 w');
  expect(inInks('/Cs1 cs 1 0 0 sc')).toBe('/DeviceCMYK cs 0.1 0.2 0.3 0.4 sc 0.1 0.2 0.3 0.4 sc');
  // Three tints of other inks are no RGB, and what a state held comes back with it.
  expect(inInks('/N cs 1 0 0 sc')).toBe('/N cs 1 0 0 sc');
  expect(inInks('q /Cs1 cs Q 1 0 0 sc')).toBe('q /DeviceCMYK cs 0.1 0.2 0.3 0.4 sc Q 1 0 0 sc');
  expect(inInks('/Cs1 cs /P1 scn')).toBe('/DeviceCMYK cs 0.1 0.2 0.3 0.4 sc /P1 scn');
});

test('operators and what stands before them are found wherever they lie', () => {
  const value = fc.oneof(
    fc.double({ min: -999, max: 999, noNaN: true }).map((n) => String(Number(n.toFixed(3)))),
    fc.stringMatching(/^[A-Za-z0-9.]{1,8}$/).map((name) => `/${name}`),
    fc.stringMatching(/^[a-z ]{0,12}$/).map((s) => `(${s}\\))`),
    fc.stringMatching(/^[0-9a-f]{0,8}$/).map((s) => `<${s}>`),
    fc.constantFrom('[1 2 (]) /a]', '<</A[1 2]/B<</C(>>)>>>>', 'true', 'null'),
  );
  const operator = fc.constantFrom('q', 'Q', 'cm', 're', 'f*', 'Tj', 'scn', "'", 'BDC', 'd0');
  const operation = fc.tuple(fc.array(value, { maxLength: 6 }), operator);
  const gap = fc.constantFrom(' ', '\n', '\r\n', ' % remark (\n', '\t ');
  fc.assert(
    fc.property(fc.array(fc.tuple(operation, gap)), (list) => {
      const text = list.map(([[values, op], space]) => `${[...values, op].join(' ')}${space}`).join('');
      const found = writtenOperations(text);
      expect(found.map((o) => [o.operands, o.operator])).toEqual(list.map(([[values, op]]) => [values, op]));
    }),
  );
});

test.each([
  ['{ 2 mul 1 sub }', 0.75, [0.5]],
  ['{ dup 0.5 gt { pop 1 } { pop 0 } ifelse }', 0.6, [1]],
  ['{ dup 0.5 gt { pop 1 } if }', 0.4, [0.4]],
  ['{ 1 2 3 3 1 roll }', 0, [0, 3, 1, 2]],
  ['{ 1 2 2 copy add }', 0, [0, 1, 2, 3]],
  ['{ 9 1 index exch }', 4, [4, 4, 9]],
  ['{ pop 90 sin 1 0 atan }', 0, [1, 90]],
  ['{ cvi 3 and 7 2 idiv }', 6.9, [2, 3]],
])('a calculator function %s of %d', (text, x, values) => {
  calculator(text)?.(x).forEach((value, i) => expect(value).toBeCloseTo(values[i] ?? NaN, 9));
  expect(calculator(text)?.(x)).toHaveLength(values.length);
});

test.each(['', '{ 1 2', '1 add }'])('“%s” is no function', (text) => {
  expect(calculator(text)).toBeUndefined();
});
