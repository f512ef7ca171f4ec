import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pdfOf } from '../testing/exports';
import { placed, rawPdf, type More } from '../testing/foreign-pages';
import { box, line } from '../testing/jobs';
import { process, spot } from '../testing/plates';
import { inFolder, platesOf, run } from '../testing/programs';
import { checkDesk, openDesk } from './index';

/** Ink of the press file at points of the first page, from its lower left, percent. */
async function inkOn(pages: readonly Uint8Array[], more: More = {}, beneath: readonly ReturnType<typeof box>[] = []) {
  const { job, files } = await placed(pages, more, beneath);
  const plates = await platesOf(await pdfOf(job, files), 1, 72);
  return (name: string, x: number, y: number) => Math.round((plates.get(name)?.at(x, 99.5 - y) ?? 0) * 100);
}

const jsonOf = async (
  pages: readonly Uint8Array[],
  job: More = {},
  beneath: readonly ReturnType<typeof box>[] = [],
) => {
  const { job: made, files } = await placed(pages, {}, beneath, job);
  const pdf = await pdfOf(made, files);
  return inFolder((folder) => {
    writeFileSync(join(folder, 'f.pdf'), pdf);
    expect(run('qpdf', ['--check', join(folder, 'f.pdf')])).toContain('No syntax or stream encoding errors');
    return run('qpdf', ['--json=2', '--json-key=qpdf', join(folder, 'f.pdf')]);
  });
};

describe('layers of a page', () => {
  const group = (name: string, usage = '') => `<</Type/OCG/Name(${name})${usage}>>`;
  const page = (d: string, usage = '') =>
    rawPdf({
      content: '/OC /A BDC 1 0 0 0 k 10 10 30 30 re f EMC /OC /B BDC 0 1 0 0 k 50 50 30 30 re f EMC',
      resources: '/Properties<</A 5 0 R/B 6 0 R>>',
      catalog: `/OCProperties<</OCGs[5 0 R 6 0 R]/D<<${d}>>>>`,
      objects: [group('a'), group('b', usage)],
    });

  test.each([
    ['all on', page('/Order[5 0 R 6 0 R]'), [100, 100]],
    ['one off', page('/OFF[6 0 R]'), [100, 0]],
    ['off but for one', page('/BaseState/OFF/ON[5 0 R]'), [100, 0]],
    [
      'one that is seen and not printed',
      page('/AS[<</Event/Print/Category[/Print]/OCGs[6 0 R]>>]', '/Usage<</Print<</PrintState/OFF>>>>'),
      [100, 0],
    ],
    [
      'one that is printed and not seen',
      page('/OFF[6 0 R]/AS[<</Event/Print/Category[/Print]/OCGs[6 0 R]>>]', '/Usage<</Print<</PrintState/ON>>>>'),
      [100, 100],
    ],
  ] as const)('%s', async (_what, bytes, [a, b]) => {
    const ink = await inkOn([bytes]);
    expect([ink('Cyan', 25, 25), ink('Magenta', 65, 65)]).toEqual([a, b]);
  });

  test('two documents each keep their own', async () => {
    const ink = await inkOn([page('/OFF[6 0 R]'), page('/OFF[5 0 R]')]);
    expect([ink('Cyan', 25, 25), ink('Magenta', 65, 65), ink('Cyan', 125, 25), ink('Magenta', 165, 65)]).toEqual([
      100, 0, 0, 100,
    ]);
  });
});

test('a half clear page is laid on as one: what overlaps in it does not add up', async () => {
  const page = rawPdf({ content: '1 0 0 0 k 10 10 50 50 re f 1 0 0 0 k 40 40 50 50 re f' });
  const ink = await inkOn([page], { opacity: 0.5 });
  expect([ink('Cyan', 20, 20), ink('Cyan', 50, 50), ink('Cyan', 80, 80)]).toEqual([50, 50, 50]);
});

test('its own overprint means what its program meant: without a mode, all four plates are painted', async () => {
  const page = rawPdf({
    content: '1 0 0 0 k 10 10 60 60 re f /G gs 0 1 0 0 k 30 30 60 60 re f',
    resources: '/ExtGState<</G<</OP true/op true>>>>',
  });
  const ink = await inkOn([page]);
  expect([ink('Cyan', 50, 50), ink('Magenta', 50, 50), ink('Cyan', 20, 20)]).toEqual([0, 100, 100]);
});

test('it begins with the graphics state of a page, whatever was drawn before it', async () => {
  const page = rawPdf({ content: '10 10 30 30 re f 60 20 m 60 80 l S' });
  const before = line('l', [0, 0, 10, 0], {
    stroke: { paint: process(0, 90, 0, 0), widthPt: 9, dash: 'dashed', cap: 'round' },
  });
  const { job, files } = await placed([page]);
  const drawn = {
    ...job,
    pieces: job.pieces.map((p) => ({ ...p, surfaces: { front: [before, ...(p.surfaces['front'] ?? [])] } })),
  };
  const plates = await platesOf(await pdfOf(drawn, files), 1, 144);
  const black = (x: number, y: number) => Math.round((plates.get('Black')?.at(x * 2, (100 - y) * 2 - 1) ?? 0) * 100);
  expect([black(25, 25), black(60, 50), black(60, 35), black(56, 50)]).toEqual([100, 100, 100, 0]);
});

/** LZW with nothing packed: a clear code before the codes would grow (ISO 32000-1, 7.4.4.2). */
function lzw(text: string): string {
  const codes: number[] = [];
  Array.from(text).forEach((c, i) => {
    if (i % 200 === 0) codes.push(256);
    codes.push(c.charCodeAt(0));
  });
  codes.push(257);
  const bits = codes.map((code) => code.toString(2).padStart(9, '0')).join('');
  const bytes = bits.match(/.{1,8}/g) ?? [];
  return bytes.map((byte) => String.fromCharCode(parseInt(byte.padEnd(8, '0'), 2))).join('');
}

describe('what a press file may not have is taken out, and the page looks the same', () => {
  test('LZW', async () => {
    const packed = lzw('0 1 0 0 k 0 0 40 40 re f');
    const form =
      `<</Type/XObject/Subtype/Form/BBox[0 0 50 50]/Filter/LZWDecode/Length ${packed.length}>>stream\n` +
      `${packed}\nendstream`;
    const page = rawPdf({ content: '/F Do', resources: '/XObject<</F 5 0 R>>', objects: [form] });
    expect(await jsonOf([page])).not.toContain('LZW');
    expect((await inkOn([page]))('Magenta', 20, 20)).toBe(100);
  });

  test('transfer functions and halftones', async () => {
    const invert = '<</FunctionType 2/Domain[0 1]/C0[1]/C1[0]/N 1>>';
    const page = rawPdf({
      content: '/G gs 0 1 0 0 k 10 10 60 60 re f',
      resources:
        `/ExtGState<</G<</TR ${invert}/TR2 ${invert}/HT<</Type/Halftone/HalftoneType 1/Frequency 40/Angle ` +
        '30/SpotFunction/Round>>/SMask/None>>>>',
    });
    const json = await jsonOf([page]);
    expect(json).not.toMatch(/"\/TR2?"|"\/HT"/);
  });

  test('untagged RGB in patterns, in glyphs that are drawn, in masks and in groups', async () => {
    const pattern =
      '<</Type/Pattern/PatternType 1/PaintType 1/TilingType 1/BBox[0 0 5 5]/XStep 5/YStep 5/Resources<' +
      '<>>/Length 23>>stream\n1 0 0 rg 0 0 5 5 re f  \nendstream';
    const glyph = '<</Length 44>>stream\n1000 0 d0 0 0 1 rg 0 0 700 700 re f          \nendstream';
    const font =
      '<</Type/Font/Subtype/Type3/FontBBox[0 0 1000 1000]/FontMatrix[0.001 0 0 0.001 0 0]/CharProcs<</a 6 0 ' +
      'R>>/Encoding<</Type/Encoding/Differences[97/a]>>/FirstChar 97/LastChar 97/Widths[1000]/Resources<<>>>>';
    const mask =
      '<</Type/XObject/Subtype/Form/BBox[0 0 100 100]/Group<</S/Transparency/CS/DeviceRGB>>/Resources<' +
      '<>>/Length 28>>stream\n1 1 1 rg 0 0 100 100 re f   \nendstream';
    const page = rawPdf({
      content: '/Pattern cs /P scn 0 0 50 50 re f BT /T 30 Tf 60 60 Td (a) Tj ET /M gs 1 0 0 rg 0 60 30 30 re f',
      resources: '/Pattern<</P 5 0 R>>/Font<</T 7 0 R>>/ExtGState<</M<</SMask<</S/Luminosity/G 8 0 R>>>>>>',
      page: '/Group<</S/Transparency/CS/DeviceRGB>>',
      objects: [pattern, glyph, font, mask],
    });
    const json = await jsonOf([page]);
    // The page, its pattern, its font and its mask.
    expect(json.match(/"\/DefaultRGB"/g)).toHaveLength(4);
    expect(json).not.toContain('"/CS": "/DeviceRGB"');
  });

  test('a spot ink that we have too is shown as ours everywhere', async () => {
    const page = (k: number) =>
      rawPdf({
        content: '/S cs 1 scn 10 10 60 60 re f',
        resources:
          '/ColorSpace<</S[/Separation/Silver/DeviceCMYK<</FunctionType 2/Domain[0 1]/C0[0 0 0 0]/C1[0 0 0 ' +
          `${k}]/N 1>>]>>`,
      });
    const json = JSON.parse(
      await jsonOf([page(0.2), page(0.9)], {}, [box('own', [0, 0, 3, 3], { fill: spot(100) })]),
    ) as { qpdf: [unknown, Record<string, unknown>] };
    const objects = json.qpdf[1];
    const resolve = (value: unknown): unknown =>
      typeof value === 'string' && /^\d+ 0 R$/.test(value)
        ? (objects[`obj:${value}`] as { value: unknown }).value
        : value;
    const ends: string[] = [];
    const visit = (value: unknown): void => {
      if (Array.isArray(value) && value[0] === '/Separation' && value[1] === '/Silver')
        ends.push(JSON.stringify((resolve(value[3]) as Record<string, unknown>)['/C1']));
      if (typeof value === 'object' && value !== null) Object.values(value).forEach(visit);
    };
    visit(objects);
    expect(ends.length).toBeGreaterThanOrEqual(2);
    expect(new Set(ends).size).toBe(1);
    expect(ends[0]).toContain('0.45');
  });
});

test('a page that does not carry its fonts is a fault before anything is exported', async () => {
  const page = rawPdf({
    content: 'BT /F 20 Tf 10 10 Td (Moon) Tj ET',
    resources: '/Font<</F<</Type/Font/Subtype/Type1/BaseFont/Helvetica>>>>',
  });
  const { job, files } = await placed([page]);
  const findings = checkDesk(await openDesk(job, files));
  expect(findings).toEqual(
    expect.arrayContaining([
      expect.objectContaining({
        rule: 'foreign-page',
        severity: 'fault',
        message: expect.stringContaining('Helvetica') as string,
      }),
    ]),
  );
});
