import { createHash } from 'node:crypto';
import { readPicture } from '../../bring-in/picture';
import { checkDesk, inkPixels, openDesk } from '../../output';
import { cmykJpeg } from '../../output/cmyk-jpeg';
import { begin, box, inMemory, line, makeJob, picture, shape, words } from '../../testing/jobs';
import { blankOf, elementsOn, type Element, type Finishing, type Job, type SolidPaint } from '../job';
import { applyChange, type Finding } from './index';

const findings = async (job: Job): Promise<readonly Finding[]> => checkDesk(await openDesk(job, inMemory()));

const GROUND = box('ground', [0, 0, 148, 210], { fill: { kind: 'process', c: 60, m: 40, y: 0, k: 0 } });
const coat = (more: Partial<Extract<Finishing, { does: 'coat' }>> = {}): Finishing => ({
  does: 'coat',
  id: 'coat',
  coating: 'varnish-matt',
  of: { from: 'elements', elements: ['moon'] },
  spread: 0,
  ...more,
});
const MOON = shape(
  'moon',
  [40, 60, 60, 60],
  { form: 'ellipse' },
  { fill: { kind: 'process', c: 20, m: 20, y: 40, k: 0 } },
);
const finished = (front: readonly Element[], list: readonly Finishing[], more: Partial<Job> = {}) =>
  makeJob(front, more, { finish: { front: [...list] } });

/** What is wrong, by rule, and what is left of it when its first fix is taken. */
async function found(
  job: Job,
  rule: string,
): Promise<{ readonly messages: readonly string[]; readonly left: number | 'no fix' }> {
  const own = (await findings(job)).filter((f) => f.rule === rule);
  const fix = own.flatMap((f) => f.fixes)[0];
  const left = fix ? (await findings(applyChange(job, fix.change))).filter((f) => f.rule === rule).length : 'no fix';
  return { messages: own.map((f) => f.message), left };
}

test('a coating drawn in from its shape is sound', async () => {
  expect(await findings(finished([GROUND, MOON], [coat({ spread: -0.5 })]))).toEqual([]);
});

test.each<readonly [rule: string, job: () => Job, words: RegExp]>([
  ['coat-knocks-out', () => finished([GROUND, MOON], [coat({ knocksOut: true })]), /white hole/],
  ['coat-solid', () => finished([GROUND, MOON], [coat({ tint: 40 })]), /only be at 100 %/],
  ['coat-solid', () => finished([GROUND, MOON], [coat({ strokePt: 1 })]), /areas alone/],
  ['finish-lost', () => finished([GROUND], [coat()]), /makes nothing: what it follows is not there/],
  [
    'plate-names',
    () =>
      finished([GROUND, MOON], [coat()], {
        inks: [{ name: 'Varnish matt', finish: 'plain', c: 0, m: 0, y: 0, k: 50 }],
      }),
    /plate of a line or coating/,
  ],
  [
    'near-inks',
    () =>
      makeJob([GROUND], {
        inks: [
          { name: 'Night blue', finish: 'plain', c: 90, m: 80, y: 0, k: 20 },
          { name: 'night-blue', finish: 'plain', c: 100, m: 60, y: 0, k: 0 },
        ],
      }),
    /two plates/,
  ],
  ['white-missing', () => makeJob([GROUND], { stock: { ...makeJob().stock, clear: true } }), /no white/],
  [
    'white-overprints',
    () =>
      makeJob([
        GROUND,
        box('w', [20, 20, 30, 30], { fill: { kind: 'process', c: 0, m: 0, y: 0, k: 0, overprint: true } }),
      ]),
    /not be seen/,
  ],
  [
    'black-knocks-out',
    () =>
      makeJob([
        GROUND,
        words('t', 'Black', [20, 20, 60, 20], {
          paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100, overprint: false },
        }),
      ]),
    /told to knock out/,
  ],
  [
    'rich-black',
    () => makeJob([box('night', [0, 0, 148, 210], { fill: { kind: 'process', c: 0, m: 0, y: 0, k: 100 } })]),
    /dark grey/,
  ],
  [
    'rich-black',
    () =>
      makeJob([
        words('t', 'Small', [20, 20, 60, 20], { sizePt: 9, paint: { kind: 'process', c: 60, m: 40, y: 40, k: 100 } }),
      ]),
    /several inks/,
  ],
  [
    'trap',
    () =>
      makeJob([
        box('sky', [0, 0, 148, 210]),
        box('sun', [20, 20, 40, 40], { fill: { kind: 'process', c: 0, m: 40, y: 100, k: 0 } }),
      ]),
    /without an ink in common/,
  ],
  [
    'out-of-gamut',
    () => makeJob([box('neon', [20, 20, 40, 40], { fill: { kind: 'rgb', r: 0, g: 255, b: 60 } })]),
    /moves by ΔE/,
  ],
])('%s is found, said and mended', async (rule, job, said) => {
  const { messages, left } = await found(job(), rule);
  expect(messages).toHaveLength(1);
  expect(messages[0]).toMatch(said);
  expect(left).toBe(0);
});

test('a varnish over fine type says how thin it may be', async () => {
  const fine = words('fine', 'Hollin Ford', [20, 20, 80, 10], { sizePt: 7, family: 'Source Serif 4' });
  const { messages } = await found(
    finished([GROUND, fine], [coat({ of: { from: 'elements', elements: ['fine'] } })]),
    'coat-fine',
  );
  expect(messages[0]).toContain('thinner than 0.3 mm');
});

test('a sharp corner of a coating is no fine part', async () => {
  const star = shape(
    'star',
    [20, 20, 20, 20],
    { form: 'star', points: 5, inner: 40 },
    { fill: { kind: 'process', c: 0, m: 20, y: 80, k: 0 } },
  );
  const { messages } = await found(
    finished([GROUND, star], [coat({ of: { from: 'elements', elements: ['star'] }, spread: -0.15 })]),
    'coat-fine',
  );
  expect(messages).toEqual([]);
});

test('a drawn cut wants ink on both its sides', async () => {
  const cut = (offset: number): Finishing => ({
    does: 'line',
    id: 'cut',
    process: 'cut',
    course: { course: 'outline', elements: ['moon'], offset },
    past: 0,
  });
  const only = (offset: number) => found(finished([MOON], [cut(offset)]), 'cut-bleed');
  expect((await only(0)).messages).toHaveLength(1);
  expect((await only(-1)).messages).toHaveLength(1);
  expect((await only(-3)).messages).toEqual([]);
  // Over a ground there is no end of ink.
  expect((await found(finished([GROUND, MOON], [cut(0)]), 'cut-bleed')).messages).toEqual([]);
});

test.each([
  [0.8, 'short of'],
  [-0.8, 'past'],
])('art that ends %d mm beside the fold is brought to it', async (off, words) => {
  const job = begin('folded-card', { size: '100x150mm' });
  const [piece] = job.pieces;
  const side = piece && blankOf(job, piece).surfaces[0];
  const fold = side?.processLines[0];
  if (!piece || !side || !fold) throw new Error('no fold');
  const edge = fold.from.x - off;
  const laid = (width: number): Job => ({
    ...job,
    pieces: [{ ...piece, surfaces: { [side.name]: [box('night', [0, 0, width, side.boxes.trim.height])] } }],
  });
  const { messages, left } = await found(laid(edge), 'fold-meet');
  expect(messages).toEqual([expect.stringContaining(`Its right edge ends 0.8 mm ${words} the fold`)]);
  expect(left).toBe(0);
  // On the fold, or well around it, nothing is wrong.
  for (const width of [fold.from.x, fold.from.x + 3, fold.from.x - 12])
    expect((await found(laid(width), 'fold-meet')).messages).toEqual([]);
});

test('varnish stops short of where it is glued', async () => {
  const job = begin('belly-band');
  const [piece] = job.pieces;
  if (!piece) throw new Error('no band');
  const all: Finishing = { does: 'coat', id: 'all', coating: 'varnish-gloss', of: { from: 'side' }, spread: 0 };
  const sides = blankOf(job, piece).surfaces.map((s) => s.name);
  const coated = { ...job, pieces: [{ ...piece, finish: Object.fromEntries(sides.map((side) => [side, [all]])) }] };
  expect((await findings(coated)).filter((f) => f.rule === 'coat-on-glue').length).toBeGreaterThan(0);
});

test('a spot ink alone is solid: fine type and lines in it are sound; on four inks it counts with them', async () => {
  const silver = (more: object = {}): SolidPaint => ({
    kind: 'spot',
    c: 0,
    m: 0,
    y: 0,
    k: 0,
    spots: [{ ink: 'Silver', tint: 100 }],
    ...more,
  });
  const inks = [{ name: 'Silver', finish: 'metallic', c: 0, m: 0, y: 0, k: 45 } as const];
  const fine = [
    words('t', 'Hollin Ford', [20, 20, 80, 10], { sizePt: 6.5, paint: silver() }),
    line('l', [20, 60, 80, 0], { stroke: { paint: silver(), widthPt: 0.3, dash: 'solid' } }),
  ];
  expect((await findings(makeJob(fine, { inks }))).map((f) => f.rule)).toEqual([]);
  const tinted = line('l', [20, 60, 80, 0], {
    stroke: { paint: silver({ spots: [{ ink: 'Silver', tint: 40 }] }), widthPt: 0.3, dash: 'solid' },
  });
  expect((await found(makeJob([tinted], { inks }), 'line-thin')).messages).toHaveLength(1);
  const { messages, left } = await found(
    makeJob([box('deep', [0, 0, 148, 210], { fill: silver({ c: 80, m: 70, y: 40, k: 60 }) })], { inks }),
    'total-ink',
  );
  expect(messages).toEqual(['80 70 40 60 + Silver 100 is 350 %; this paper takes 300 %.']);
  expect(left).toBe(0);
});

test('a picture with more ink than the paper takes is found, and separated anew', async () => {
  // Rich black in all four inks beside a blue that is within the limit.
  const pixels = Uint8Array.from({ length: 40 * 40 * 4 }, (_, i) =>
    Math.floor(i / 160) < 20 ? 235 : ([200, 150, 20, 10][i % 4] ?? 0),
  );
  const bytes = await cmykJpeg(pixels, { width: 40, height: 40 }, 100);
  const read = await readPicture('heavy.jpg', bytes);
  if (!read.ok) throw new Error(read.problem);
  const sha = createHash('sha256').update(bytes).digest('hex');
  const job = { ...makeJob([picture('heavy', sha, [20, 20, 8, 8])]), assets: { [sha]: read.picture } };
  const look = async (of: Job) => checkDesk(await openDesk(of, inMemory(new Map([[sha, bytes]]))));
  const [finding] = (await look(job)).filter((f) => f.rule === 'total-ink');
  // 4 × 235 ÷ 255.
  expect(finding?.message).toMatch(/The picture has 36[89] % in places; this paper takes 300 %/);
  const [fix] = finding?.fixes ?? [];
  if (!fix) throw new Error('no fix');
  const mended = applyChange(job, fix.change);
  expect((await look(mended)).filter((f) => f.rule === 'total-ink')).toEqual([]);
  // On its way to the press it stays in ink: the blue is the same to the bit, and the plates hold the limit.
  const desk = await openDesk(mended, inMemory(new Map([[sha, bytes]])));
  const element = elementsOn(mended.pieces[0] ?? unreachable(), 'front')[0];
  if (element?.kind !== 'picture') throw new Error('no picture');
  const size = { width: 40, height: 40 };
  const [before, after] = await Promise.all(
    [undefined, element.adjust].map((adjust) =>
      inkPixels(bytes, read.picture, size, desk.profile.pictures(), { adjust }),
    ),
  );
  expect(after?.pixels.subarray(40 * 25 * 4)).toEqual(before?.pixels.subarray(40 * 25 * 4));
  const inks = Array.from(after?.pixels ?? []);
  const totals = inks.flatMap((_, i) =>
    i % 4 === 0 ? [inks.slice(i, i + 4).reduce((sum, v) => sum + v, 0) / 2.55] : [],
  );
  expect(Math.max(...totals)).toBeLessThanOrEqual(300.01);
});

const unreachable = (): never => {
  throw new Error('no piece');
};
