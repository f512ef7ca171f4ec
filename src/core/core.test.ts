import { FORMATS, formatOf } from './format';
import { blankOf, describeJob, parametersOf, readJob, rulesFor, startJob } from './job';
import { eyePpi, neededPpi } from './rules';
import { House, Stock } from './shop';
import { makeJob } from '../testing/jobs';

const flyer = formatOf('flyer');
const start = (set: Record<string, string>, unit: 'mm' | 'in' = 'mm') => {
  if (!flyer) throw new Error('no flyer');
  const started = startJob(flyer, set, { id: 'x', name: 'Flyer', unit });
  if (!started.ok) throw new Error(started.error.message);
  return started.job;
};

describe('a flyer', () => {
  test('A5 with 3 mm: 154 × 216 with bleed, counted on both sides; 1819 × 2551 px at 300 ppi', () => {
    const [piece] = describeJob(start({ size: 'A5', bleed: '3mm' }));
    expect(piece?.withBleed).toEqual({ width: 154, height: 216 });
    expect(piece?.pixels).toEqual({
      ppi: 300,
      finished: { width: 1748, height: 2480 },
      withBleed: { width: 1819, height: 2551 },
    });
    expect(piece?.surfaces.map((s) => s.name)).toEqual(['front', 'back']);
    expect(piece?.surfaces[0]?.panels).toEqual([{ name: 'front', x: 0, y: 0, width: 148, height: 210 }]);
  });

  test('begun in inches, common practice is 1/8 in of bleed [cp]', () => {
    const [piece] = describeJob(start({ size: '5.5in x 8.5in' }, 'in'));
    expect(piece?.bleed.top).toBeCloseTo(3.175, 9);
    expect(piece?.finished.width).toBeCloseTo(139.7, 9);
  });

  test('every figure has a working and a rule', () => {
    for (const figure of blankOf(start({}), start({}).pieces[0] ?? fail()).figures) {
      expect(figure.working.length).toBeGreaterThan(0);
      expect(figure.rule).not.toBe('');
    }
  });

  test('an override is marked, and what was computed stays known', () => {
    const job = { ...start({}), ppi: 250 };
    const figure = blankOf(job, job.pieces[0] ?? fail()).figures.find((f) => f.id === 'ppi');
    expect(figure).toMatchObject({ value: 250, override: { field: 'ppi', computed: 300 } });
  });

  test('describing is the same after a round trip through the file, and in another unit but for its words', () => {
    const job = start({ size: 'A6', columns: '3' });
    const back = readJob(JSON.parse(JSON.stringify(job)));
    expect(back.ok && describeJob(back.job)).toEqual(describeJob(job));
    const plain = (j: typeof job) =>
      describeJob(j).map(({ figures, ...rest }) => ({ ...rest, values: figures.map((f) => f.value) }));
    expect(plain({ ...job, unit: 'cm' })).toEqual(plain(job));
  });

  test.each([
    ['size', '148', 'second side'],
    ['bleed', '-3mm', 'negative'],
    ['sides', '3', 'from 1 to 2'],
    ['columns', '1.5', 'whole number'],
    ['colour', 'red', 'has no'],
  ])('%s=%s is refused at its own field', (name, text, words) => {
    const started = flyer && startJob(flyer, { [name]: text }, { id: 'x', name: 'x', unit: 'mm' });
    expect(started).toMatchObject({ ok: false, parameter: name });
    expect(started && !started.ok ? started.error.message : '').toContain(words);
  });

  test('every format says what each of its parameters is when left out', () => {
    for (const format of FORMATS)
      for (const p of Object.values(parametersOf(format))) expect(p.default === null || p.help !== '').toBe(true);
  });
});

describe('resolution by reading distance: 25.4 ÷ (d × tan 1′), 20/20 acuity', () => {
  test.each([
    [300, 291],
    [1000, 87],
    [3000, 29],
  ])('%d mm: %d ppi', (distance, ppi) => expect(Math.round(eyePpi(distance))).toBe(ppi));
  test('rounded up to 50 between 72 and 300 [cp]', () => {
    expect([300, 1000, 3000, 100].map(neededPpi)).toEqual([300, 100, 72, 300]);
  });
});

test('rules follow the stock and the house', () => {
  const job = makeJob([], { stock: Stock.parse({ kind: 'newsprint', grammage: 52 }) });
  const rules = rulesFor(job, job.pieces[0] ?? fail());
  expect(rules.inkLimit.value).toBe(240);
  expect(rules.profile).toBe('uncoated-fogra29');
  const strict = rulesFor(
    { ...job, house: House.parse({ name: 'x', rgb: 'refuse', inkLimit: 220 }) },
    job.pieces[0] ?? fail(),
  );
  expect(strict.inkLimit).toMatchObject({ value: 220, overridden: false, rule: 'x asks for it' });
  const byHand = rulesFor({ ...job, house: House.parse({ inkLimit: 220 }) }, job.pieces[0] ?? fail());
  expect(byHand.inkLimit).toMatchObject({ value: 220, computed: 240, overridden: true });
});

test('marks never stand inside the bleed, whatever was asked', () => {
  const job = makeJob(
    [],
    { output: { ...makeJob().output, markOffset: 1 } },
    { bleed: { top: 8, right: 3, bottom: 3, left: 3 } },
  );
  expect(rulesFor(job, job.pieces[0] ?? fail()).markOffset.value).toBe(8);
});

describe('reading a job', () => {
  test('says where it is wrong', () => {
    const read = readJob({
      ...makeJob(),
      pieces: [{ ...makeJob().pieces[0], decisions: { size: { width: 'wide', height: 210 } } }],
    });
    expect(read.ok ? [] : read.problems).toEqual([expect.stringMatching(/^pieces → 0 → decisions → size → width: /)]);
  });
  test('refuses a newer format in words', () => {
    const read = readJob({ ...makeJob(), version: 99 });
    expect(read.ok ? '' : read.problems[0]).toContain('newer Yellow Sheet');
  });
  test('refuses what it does not know, and ids given twice', () => {
    expect(readJob({ ...makeJob(), colour: 'red' }).ok).toBe(false);
    const twice = { ...makeJob().pieces[0], surfaces: { front: [el('a'), el('a')], back: [] } };
    expect(readJob({ ...makeJob(), pieces: [twice] }).ok).toBe(false);
  });
});

const el = (id: string) => ({
  kind: 'shape',
  shape: { form: 'ellipse' },
  id,
  fill: null,
  placement: { against: { box: 'trim' }, x: { start: 0, size: 1 }, y: { start: 0, size: 1 } },
});

function fail(): never {
  throw new Error('no piece');
}
