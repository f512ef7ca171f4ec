import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { readDocument } from '../bring-in/document';
import { readSvg } from '../bring-in/svg';
import { itemsOf, leavesOf, type GroupItem, type Item } from '../core/drawing';
import { Effect, type Asset, type Element, type ElementInput, type Job } from '../core/job';
import { demoPiece } from '../testing/demo';
import { box, element, inMemory, makeJob, picture, pictureFacts, shape, words } from '../testing/jobs';
import { pdfOf } from '../testing/exports';
import { boxesOf, inFolder, platesOf, run } from '../testing/programs';
import { adjusted, curveOf } from './adjust';
import { openDesk, paletteOf } from './index';
import { pictureUse } from './picture-use';
import { pictureRgb } from './pictures';
import { blurredMask } from './request-parts';

const NO_MARKS = { corner: false, centre: false, register: false, colourBar: false, slugLine: false, fold: false };
const bare = (front: readonly Element[], more: Partial<Job> = {}) => {
  const job = makeJob(front, more);
  // The preview’s own pictures are not looked at here: small ones are quick.
  return { ...job, output: { ...job.output, marks: NO_MARKS, previewPixels: 100 } };
};
const shaOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
const process = (c: number, m: number, y: number, k: number) => ({ kind: 'process', c, m, y, k }) as const;
type Fill = Extract<ElementInput, { kind: 'shape' }>['fill'];
type GradientInput = Extract<NonNullable<Fill>, { kind: 'gradient' }>;
const whole = { against: { box: 'trim' }, x: { start: 0, end: 0 }, y: { start: 0, end: 0 } } as const;

/** Where a point in mm from the trim’s corner lies on the plates of a file, pixels. */
async function onPlates(pdf: Uint8Array, ppi: number) {
  const plates = await platesOf(pdf, 1, ppi);
  const corner = await inFolder((folder) => {
    writeFileSync(join(folder, 'f.pdf'), pdf);
    const { TrimBox, MediaBox } = boxesOf(join(folder, 'f.pdf'), 1);
    return { x: TrimBox[0] ?? 0, y: (MediaBox[3] ?? 0) - (TrimBox[3] ?? 0) };
  });
  const px = (mm: number, from: number) => ((mm * 72) / 25.4 + from) * (ppi / 72);
  return (name: string, x: number, y: number) => (plates.get(name)?.at(px(x, corner.x), px(y, corner.y)) ?? 0) * 100;
}

describe('gradients on the plates (Ghostscript tiffsep)', () => {
  const gradient = (more: Partial<GradientInput>): Fill => ({
    kind: 'gradient',
    stops: [
      { at: 0, paint: process(100, 0, 0, 0) },
      { at: 100, paint: process(0, 80, 0, 20) },
    ],
    ...more,
  });
  const filled = (fill: Fill) => bare([shape('g', [20, 20, 100, 60], { form: 'rectangle' }, { fill })]);

  test('a linear one is mixed evenly between its builds, within 1 % of ink', async () => {
    const at = await onPlates(await pdfOf(filled(gradient({ angle: 0 }))), 144);
    for (const share of [0.1, 0.25, 0.5, 0.75, 0.9]) {
      const x = 20 + 100 * share;
      expect(Math.abs(at('Cyan', x, 50) - 100 * (1 - share))).toBeLessThan(1);
      expect(Math.abs(at('Magenta', x, 50) - 80 * share)).toBeLessThan(1);
      expect(Math.abs(at('Black', x, 50) - 20 * share)).toBeLessThan(1);
    }
  });
  test('its angle and length are those of the box: at 90°, half as long, it is even outside its middle', async () => {
    const at = await onPlates(await pdfOf(filled(gradient({ angle: 90, length: 50 }))), 144);
    expect(at('Cyan', 70, 22)).toBeCloseTo(100, 0);
    expect(at('Cyan', 70, 50)).toBeCloseTo(50, -0.3);
    expect(at('Magenta', 70, 78)).toBeCloseTo(80, 0);
  });
  test('a radial one grows with the distance from its middle', async () => {
    const at = await onPlates(await pdfOf(filled(gradient({ shape: 'radial' }))), 144);
    const radius = Math.hypot(100, 60) / 2;
    for (const [x, y] of [
      [70, 50],
      [90, 50],
      [70, 30],
      [110, 70],
    ] as const) {
      const share = Math.hypot(x - 70, y - 50) / radius;
      expect(Math.abs(at('Cyan', x, y) - 100 * (1 - share))).toBeLessThan(1.5);
    }
  });
  test('many stops, two of them in one place: a hard edge', async () => {
    const stops = [0, 50, 50, 100].map((at, i) => ({ at, paint: process(i % 2 === 0 ? 100 : 0, 0, 0, 0) }));
    const at = await onPlates(await pdfOf(filled({ kind: 'gradient', angle: 0, stops })), 144);
    expect(at('Cyan', 69, 50)).toBeLessThan(4);
    expect(at('Cyan', 71, 50)).toBeGreaterThan(96);
  });
  test('stops that fade let through what lies beneath', async () => {
    const fade: Fill = {
      kind: 'gradient',
      angle: 0,
      stops: [
        { at: 0, paint: process(0, 100, 0, 0), opacity: 1 },
        { at: 100, paint: process(0, 100, 0, 0), opacity: 0 },
      ],
    };
    const ground = box('ground', [20, 20, 100, 60], { fill: process(0, 0, 100, 0) });
    const job = bare([ground, shape('f', [20, 20, 100, 60], { form: 'rectangle' }, { fill: fade })]);
    const at = await onPlates(await pdfOf(job), 144);
    for (const share of [0.2, 0.5, 0.8]) {
      expect(Math.abs(at('Magenta', 20 + 100 * share, 50) - 100 * (1 - share))).toBeLessThan(2);
      expect(Math.abs(at('Yellow', 20 + 100 * share, 50) - 100 * share)).toBeLessThan(2);
    }
  });
  test('in the file it is a shading, never strips', async () => {
    const json = await inFolder(async (folder) => {
      writeFileSync(join(folder, 'f.pdf'), await pdfOf(filled(gradient({ angle: 30 }))));
      return run('qpdf', ['--json=2', '--json-key=qpdf', join(folder, 'f.pdf')]);
    });
    expect(json.match(/"\/ShadingType": 2/g)).toHaveLength(1);
    expect(json).not.toContain('DeviceRGB');
  });
});

/** The Gaussian integral by Abramowitz and Stegun 7.1.26, |error| ≤ 1.5·10⁻⁷. */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const y =
    1 -
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-x * x);
  return x < 0 ? -y : y;
}
const step = (x: number, sigma: number) => (1 + erf(x / (sigma * Math.SQRT2))) / 2;

async function firstMask(front: readonly Element[]) {
  const desk = await openDesk(makeJob(front), inMemory());
  const groups = (items: readonly Item[]): readonly GroupItem[] =>
    items.flatMap((i) => (i.kind === 'group' ? [i, ...groups(i.items)] : []));
  const group = groups(itemsOf(desk.sides[0]?.drawing ?? ({ frames: [], repeated: [], reserved: [] } as never))).find(
    (g) => g.mask,
  );
  if (!group?.mask) throw new Error('no mask');
  return { blur: group.mask.blur, ...(await blurredMask(desk, group.mask, 300)) };
}

describe('shadows and blur against the closed form of a blurred box', () => {
  test.each([
    ['shadow', Effect.parse({ effect: 'shadow', blur: 4, paint: process(0, 0, 0, 100) }), 2],
    ['glow', Effect.parse({ effect: 'glow', blur: 6, spread: 0, paint: process(0, 0, 100, 0) }), 3],
    ['blur', Effect.parse({ effect: 'blur', blur: 3 }), 1.5],
  ] as const)('%s: every pixel within one level of 255', async (_name, effect, sigma) => {
    const { blur, region, width, height, pixels } = await firstMask([
      box('b', [30, 40, 40, 24], { effects: [effect] }),
    ]);
    expect(blur).toBe(sigma);
    const [sx, sy] = [region.width / width, region.height / height];
    let worst = 0;
    for (let j = 0; j < height; j += 1)
      for (let i = 0; i < width; i += 1) {
        const [x, y] = [region.x + (i + 0.5) * sx, region.y + (j + 0.5) * sy];
        const across = step(x - 30, sigma) - step(x - 70, sigma);
        const down = step(y - 40, sigma) - step(y - 64, sigma);
        worst = Math.max(worst, Math.abs((pixels[j * width + i] ?? 0) - 255 * across * down));
      }
    // The silhouette is drawn with smoothed edges, a pixel wide: less than one level here.
    expect(worst).toBeLessThanOrEqual(1);
  });
  test('of a picture: an edge of white and black fades as the error function, and no finer is sent', async () => {
    const [wide, high] = [1_200, 600];
    const grey = Uint8Array.from({ length: wide * high }, (_, i) => (i % wide < wide / 2 ? 255 : 0));
    const png = await sharp(grey, { raw: { width: wide, height: high, channels: 1 } })
      .png()
      .toBuffer();
    const sha = shaOf(png);
    const facts = { ...pictureFacts(wide, high), colour: 'grey' } as const;
    const soft = { ...picture('p', sha, [30, 30, 60, 30]), effects: [Effect.parse({ effect: 'blur', blur: 8 })] };
    const job = bare([soft], { assets: { [sha]: facts } });
    const assets = inMemory(new Map([[sha, new Uint8Array(png)]]));
    const desk = await openDesk(job, assets);
    const [item] = desk.sides.flatMap(({ drawing }) => leavesOf(itemsOf(drawing)));
    const use = item?.kind === 'picture' ? pictureUse(job, item, 300) : undefined;
    // 4 mm in 16 pixels, of a picture of 60 mm.
    expect(use?.size).toEqual({ width: 240, height: 120 });
    if (!use) return;
    const { rgb, width, height } = await pictureRgb(
      new Uint8Array(png),
      use.asset,
      use.size,
      desk.profile.pictures(),
      use.treatment,
    );
    const row = Math.floor(height / 2) * width * 3;
    for (let x = 0; x < width; x += 1) {
      const white = 255 * (1 - step(((x + 0.5 - width / 2) / 240) * 60, 4));
      expect(Math.abs((rgb[row + x * 3] ?? 0) - white)).toBeLessThan(1.5);
    }
  });

  test('a soft edge has faded out at the edge and is whole inside', async () => {
    const effect = Effect.parse({ effect: 'soft-edge', blur: 4 });
    const { region, width, height, pixels } = await firstMask([box('b', [30, 40, 40, 24], { effects: [effect] })]);
    const level = (x: number, y: number) =>
      pixels[
        Math.floor(((y - region.y) / region.height) * height) * width +
          Math.floor(((x - region.x) / region.width) * width)
      ] ?? 0;
    expect(level(30.2, 52)).toBeLessThan(10);
    expect(level(50, 52)).toBeGreaterThan(250);
    // Half way through at the length it is given.
    expect(level(34, 52)).toBeGreaterThan(115);
    expect(level(34, 52)).toBeLessThan(145);
  });
  test('in the press file they are live transparency in CMYK', async () => {
    const shadow = Effect.parse({
      effect: 'shadow',
      dx: 2,
      dy: 2,
      blur: 3,
      paint: process(0, 0, 0, 100),
      opacity: 0.5,
    });
    const pdf = await pdfOf(
      bare([
        box('g', [0, 0, 148, 210], { fill: process(0, 0, 40, 0) }),
        box('b', [30, 40, 40, 24], { effects: [shadow] }),
      ]),
    );
    const json = await inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf);
      expect(run('qpdf', ['--check', join(folder, 'f.pdf')])).toContain('No syntax or stream encoding errors');
      return run('qpdf', ['--json=2', '--json-key=qpdf', join(folder, 'f.pdf')]);
    });
    expect(json).toContain('"/BM": "/Multiply"');
    expect(json).toContain('"/S": "/Luminosity"');
    expect(json).not.toContain('DeviceRGB');
    const at = await onPlates(pdf, 144);
    // Under the shadow’s edge 2 mm beyond the box: half of 50 %; far away nothing.
    expect(Math.abs(at('Black', 72, 54) - 25)).toBeLessThan(3);
    expect(at('Black', 100, 54)).toBeLessThan(0.5);
    expect(Math.abs(at('Yellow', 72, 54) - 40)).toBeLessThan(1);
  });
});

describe('pictures’ tones against sharp', () => {
  const side = 64;
  const rgb = Uint8Array.from({ length: side * side * 3 }, (_, i) => (i * 37 + Math.floor(i / 192) * 11) % 256);
  const pixels = { width: side, height: side, rgb };
  const raw = { raw: { width: side, height: side, channels: 3 } } as const;
  const plain = { grey: false, levels: null, clear: null, overlay: null };
  const worst = (a: Uint8Array, b: Uint8Array) =>
    a.reduce((most, v, i) => Math.max(most, Math.abs(v - (b[i] ?? 0))), 0);

  test('levels without gamma are a straight line held within 0 and 255', async () => {
    const ours = adjusted(pixels, { ...plain, levels: { black: 30, white: 210, gamma: 1 } }).rgb;
    const k = 255 / 180;
    const theirs = await sharp(rgb, raw)
      .linear(k, -30 * k)
      .raw()
      .toBuffer();
    expect(worst(ours, theirs)).toBeLessThanOrEqual(1);
  });
  test('gamma is a power: 255 · (v ÷ 255) ^ (1 ÷ γ)', async () => {
    const ours = adjusted(pixels, { ...plain, levels: { black: 0, white: 255, gamma: 2.2 } }).rgb;
    // sharp’s own gamma works on a resized picture both ways; the way out alone is what is wanted here.
    const theirs = await sharp(rgb, raw).gamma(1, 2.2).raw().toBuffer();
    expect(worst(ours, theirs)).toBeLessThanOrEqual(1);
    expect(curveOf({ black: 0, white: 255, gamma: 1 })[128]).toBe(128);
  });
  test('black and white keeps how light a colour is, as sharp’s linear-light grey does', async () => {
    const ours = adjusted(pixels, { ...plain, grey: true }).rgb.filter((_, i) => i % 3 === 0);
    const theirs = await sharp(rgb, raw).greyscale().raw().toBuffer();
    const mean = ours.reduce((sum, v, i) => sum + Math.abs(v - (theirs[i] ?? 0)), 0) / ours.length;
    expect(mean).toBeLessThan(2.5);
  });
  test('a cleared colour is gone within its tolerance and nothing else is', () => {
    const two = Uint8Array.from([255, 255, 255, 250, 250, 250, 200, 60, 30, 30, 60, 200]);
    const { alpha } = adjusted(
      { width: 4, height: 1, rgb: two },
      { ...plain, clear: { r: 255, g: 255, b: 255, tolerance: 5 } },
    );
    expect([...(alpha ?? [])]).toEqual([0, 0, 255, 255]);
  });
  test('a colour over a picture, on the page as sharp lays it over', async () => {
    const png = new Uint8Array(
      await sharp({ create: { width: 60, height: 40, channels: 3, background: { r: 190, g: 150, b: 120 } } })
        .png()
        .toBuffer(),
    );
    const sha = shaOf(png);
    const over = { paint: { kind: 'rgb', r: 60, g: 90, b: 140 }, opacity: 0.4, blend: 'normal' } as const;
    const front = [picture('p', sha, [20, 20, 60, 40], { adjust: { overlay: over } })];
    const job = makeJob(front, { assets: { [sha]: pictureFacts(60, 40) } });
    const pdf = await pdfOf(job, inMemory(new Map([[sha, png]])), 'preview');
    const theirs = await sharp(png)
      .composite([
        { input: { create: { width: 60, height: 40, channels: 4, background: { r: 60, g: 90, b: 140, alpha: 0.4 } } } },
      ])
      .raw()
      .toBuffer({ resolveWithObject: true });
    const ours = await pageRaster(pdf, 72);
    const at = (ours.width * Math.round((40 * 72) / 25.4) + Math.round((50 * 72) / 25.4)) * 3;
    // Both colours are within this paper’s gamut; the way through its inks moves them by a level or two.
    for (let c = 0; c < 3; c += 1)
      expect(Math.abs((ours.data[at + c] ?? 0) - (theirs.data[c] ?? 0))).toBeLessThanOrEqual(4);
  });
});

/** A page as poppler draws it. */
async function pageRaster(pdf: Uint8Array, ppi: number, page = 1) {
  return inFolder(async (folder) => {
    writeFileSync(join(folder, 'f.pdf'), pdf);
    run('pdftoppm', [
      '-r',
      String(ppi),
      '-f',
      String(page),
      '-l',
      String(page),
      '-png',
      join(folder, 'f.pdf'),
      join(folder, 'p'),
    ]);
    const file =
      run('ls', [folder])
        .split('\n')
        .find((f) => f.endsWith('.png')) ?? '';
    const { data, info } = await sharp(readFileSync(join(folder, file)))
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return { data, width: info.width, height: info.height };
  });
}

/** Mean difference of two rasters of one size, as a share of full scale. */
function difference(a: { data: Uint8Array; width: number; height: number }, b: typeof a): number {
  expect([a.width, a.height]).toEqual([b.width, b.height]);
  let sum = 0;
  for (let i = 0; i < a.data.length; i += 1) sum += Math.abs((a.data[i] ?? 0) - (b.data[i] ?? 0));
  return sum / a.data.length / 255;
}

const LOGO =
  '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="50mm" viewBox="0 0 160 100">\n' +
  '<style>.ring{fill:none;stroke:#000;stroke-width:5} .d{stroke-dasharray:9 4;stroke-linecap:round}</style>\n' +
  '<rect x="4" y="6" width="50" height="30" rx="8"/><path d="M70 10C90 -5 120 40 140 12L150 50Q120 60 100 ' +
  '44T60 60Z" fill-rule="evenodd"/>\n' +
  '<g transform="translate(30 70) rotate(20) scale(1.3)"><circle r="15"/><polygon points="20,-12 40,0 20,12" ' +
  'fill="#777"/></g>\n' +
  '<ellipse class="ring" cx="110" cy="76" rx="30" ry="15"/><path class="ring d" d="M8 52H90"/><path d="M120 ' +
  '66A14 9 30 1 0 140 80Z" opacity="0.5"/>\n' +
  '<defs><g id="k"><rect width="6" height="6"/></g></defs><use href="#k" x="150" y="90"/><use href="#k" ' +
  'transform="translate(3 92) skewX(30)"/></svg>';

const drawing = (text: string) => {
  const bytes = new TextEncoder().encode(text);
  const read = readSvg(text);
  if (!read.ok) throw new Error(read.problem);
  const { width, height, shapes } = read.art;
  const asset: Asset = { kind: 'drawing', name: 'logo.svg', width, height, shapes: shapes.length };
  return { sha: shaOf(bytes), bytes, asset };
};

test('an SVG comes through the press file as resvg draws it: the same shapes, none of them pixels', async () => {
  const { sha, bytes, asset } = drawing(LOGO);
  const front = [
    element<'vector'>({
      kind: 'vector',
      id: 'v',
      drawing: sha,
      placement: { against: { box: 'trim' }, x: { start: 0, size: 80 }, y: { start: 0, size: 50 } },
    }),
  ];
  const job = {
    ...bare(front, { assets: { [sha]: asset } }),
    pieces: makeJob(front, {}, { size: { width: 80, height: 50 }, bleed: { top: 0, right: 0, bottom: 0, left: 0 } })
      .pieces,
  };
  const pdf = await pdfOf(job, inMemory(new Map([[sha, bytes]])), 'preview');
  const ours = await pageRaster(pdf, 254);
  const { Resvg } = await import('@resvg/resvg-js');
  const theirs = new Resvg(LOGO, {
    fitTo: { mode: 'width', value: ours.width },
    background: '#ffffff',
    font: { loadSystemFonts: false },
  }).render();
  const flat = await sharp(theirs.asPng()).removeAlpha().raw().toBuffer();
  // Black goes through the paper’s inks and comes back as its black: about 3 % lighter where it is.
  const grey = (d: Uint8Array) => Uint8Array.from(d, (v) => (v < 128 ? 0 : 255));
  expect(
    difference({ ...ours, data: grey(ours.data) }, { data: grey(flat), width: theirs.width, height: theirs.height }),
  ).toBeLessThan(0.004);
  await inFolder((folder) => {
    writeFileSync(join(folder, 'f.pdf'), pdf);
    expect(
      run('pdfimages', ['-list', join(folder, 'f.pdf')])
        .trim()
        .split('\n'),
    ).toHaveLength(2);
  });
});

describe('a page of somebody else’s PDF', () => {
  const placed = async (original: Uint8Array, size: { width: number; height: number }) => {
    const read = await readDocument('flyer.pdf', original);
    if (!read.ok) throw new Error(read.problem);
    const sha = shaOf(original);
    const front = [element<'page'>({ kind: 'page', id: 'p', document: sha, placement: whole })];
    const none = { top: 0, right: 0, bottom: 0, left: 0 };
    const job = {
      ...bare(front),
      assets: { [sha]: read.document },
      pieces: makeJob(front, {}, { size, bleed: none }).pieces,
    };
    const assets = inMemory(new Map([[sha, original]]));
    // Rasters are compared in a file for the screen: poppler shows colours otherwise where a file names a press.
    return { read, pdf: () => pdfOf(job, assets), screen: await pdfOf(job, assets, 'preview') };
  };
  /** The demo’s flyer as a press file, cut to its trim: type, pictures, overprinting black. */
  let made: Promise<Uint8Array> | undefined;
  const flyer = () => (made ??= exportedFlyer());
  const exportedFlyer = async () => {
    const { job, assets } = await demoPiece('meteor-night', 0.33);
    const small = { ...job, output: { ...job.output, previewPixels: 400 } };
    return pdfOf(small, assets, 'preview');
  };

  test('is drawn by poppler exactly as the original', async () => {
    const original = await flyer();
    const { pdf, screen } = await placed(original, { width: 148, height: 210 });
    expect(difference(await pageRaster(screen, 100), await pageRaster(original, 100))).toBeLessThan(0.002);
    await inFolder(async (folder) => {
      writeFileSync(join(folder, 'f.pdf'), await pdf());
      expect(run('qpdf', ['--check', join(folder, 'f.pdf')])).toContain('No syntax or stream encoding errors');
      // Its words can still be found and its fonts came along.
      expect(run('pdftotext', [join(folder, 'f.pdf'), '-'])).toContain('METEOR');
      expect(run('pdffonts', [join(folder, 'f.pdf')])).toMatch(/LeagueGothic.* yes yes yes/);
    });
  });
  test.each([90, 180, 270])('turned by %i degrees it stands as its readers show it', async (degrees) => {
    const original = await inFolder(async (folder) => {
      writeFileSync(join(folder, 'f.pdf'), await flyer());
      run('qpdf', [`--rotate=${degrees}`, join(folder, 'f.pdf'), join(folder, 'r.pdf')]);
      return new Uint8Array(readFileSync(join(folder, 'r.pdf')));
    });
    const size = degrees === 180 ? { width: 148, height: 210 } : { width: 210, height: 148 };
    const { read, screen } = await placed(original, size);
    expect(read.document.pages[0]?.width).toBeCloseTo(size.width, 1);
    expect(difference(await pageRaster(screen, 72), await pageRaster(original, 72))).toBeLessThan(0.004);
  });
  test('untagged RGB in it is given a meaning, and nothing that acts comes along', async () => {
    const original = await inFolder((folder) => {
      const ps =
        '%!PS\n<< /PageSize [283.46 283.46] >> setpagedevice 1 0.5 0 setrgbcolor 20 20 200 200 rectfill ' +
        '[/Rect [0 0 50 50] /Action << /Subtype /URI /URI (http://example.com) >> /Subtype /Link /ANN ' +
        'pdfmark showpage';
      writeFileSync(join(folder, 'f.ps'), ps);
      run('gs', [
        '-q',
        '-dNOPAUSE',
        '-dBATCH',
        '-dSAFER',
        '-sDEVICE=pdfwrite',
        '-sColorConversionStrategy=LeaveColorUnchanged',
        `-sOutputFile=${join(folder, 'f.pdf')}`,
        join(folder, 'f.ps'),
      ]);
      return new Uint8Array(readFileSync(join(folder, 'f.pdf')));
    });
    const { pdf } = await placed(original, { width: 100, height: 100 });
    const json = await inFolder(async (folder) => {
      writeFileSync(join(folder, 'f.pdf'), await pdf());
      return run('qpdf', ['--json=2', '--json-key=qpdf', join(folder, 'f.pdf')]);
    });
    expect(json).toContain('/DefaultRGB');
    expect(json).not.toMatch(/example\.com|\/Annots|\/URI/);
  });
});

describe('strokes on the plates', () => {
  const stroke = { paint: process(0, 0, 0, 100), widthPt: (4 * 72) / 25.4 };
  test.each([
    ['centre', 2, 2],
    ['in', 0, 4],
    ['out', 4, 0],
  ] as const)('%s: %i mm outside the outline and %i mm inside', async (align, outside, inside) => {
    const at = await onPlates(
      await pdfOf(bare([box('b', [40, 40, 60, 60], { fill: null, stroke: { ...stroke, align } })])),
      300,
    );
    const inked = (x: number) => at('Black', x, 70) > 50;
    expect([inked(40 - outside - 0.2), inked(40 - outside + 0.2)]).toEqual([false, outside > 0 || inside > 0]);
    expect([inked(40 + inside - 0.2), inked(40 + inside + 0.2)]).toEqual([inside > 0 || outside > 0, false]);
  });
  test('what is clipped to a shape is seen only inside it', async () => {
    const hole = shape('moon', [40, 40, 40, 40], { form: 'ellipse' }, { fill: null });
    const at = await onPlates(await pdfOf(bare([hole, box('b', [30, 30, 80, 80], { clipTo: 'moon' })])), 150);
    expect(at('Cyan', 60, 60)).toBeGreaterThan(99);
    expect(at('Cyan', 43, 43)).toBeLessThan(1);
    expect(at('Cyan', 90, 60)).toBeLessThan(1);
  });
  test('copies bleed where they themselves reach the trim', async () => {
    const mirror = [{ way: 'mirror', in: { box: 'trim' } }] as const;
    const pdf = await pdfOf(bare([box('b', [0, 20, 30, 30], { repeat: [...mirror] })]));
    const at = await onPlates(pdf, 150);
    expect(at('Cyan', -2, 30)).toBeGreaterThan(99);
    expect(at('Cyan', 150, 30)).toBeGreaterThan(99);
    expect(at('Cyan', 74, 30)).toBeLessThan(1);
  });
  test('type with a band around it stays type', async () => {
    const outline = Effect.parse({ effect: 'outline', width: 1, paint: process(100, 0, 0, 0) });
    const pdf = await pdfOf(bare([words('w', 'Moon', [20, 20, 100, 40], { sizePt: 60 }, { effects: [outline] })]));
    await inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf);
      expect(run('pdftotext', [join(folder, 'f.pdf'), '-'])).toContain('Moon');
      expect(run('qpdf', ['--check', join(folder, 'f.pdf')])).toContain('No syntax or stream encoding errors');
    });
  });
});

test('the colours proposed from a picture are those it is made of, the most common first', async () => {
  const flag = await sharp({ create: { width: 90, height: 60, channels: 3, background: { r: 20, g: 30, b: 90 } } })
    .composite([
      {
        input: { create: { width: 30, height: 60, channels: 3, background: { r: 230, g: 200, b: 60 } } },
        left: 0,
        top: 0,
      },
    ])
    .png()
    .toBuffer();
  const [first, second, ...rest] = await paletteOf(new Uint8Array(flag));
  expect([first, second]).toEqual([
    { r: 20, g: 30, b: 90 },
    { r: 230, g: 200, b: 60 },
  ]);
  expect(rest).toHaveLength(0);
});
