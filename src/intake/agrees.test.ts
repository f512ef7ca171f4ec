/**
 * What our own checks say of a job (from the Drawing) beside what the house says of its press file (from the bytes), on
 * fifty jobs spoilt by a script. Where one speaks and the other is silent, one is wrong. (The pieces of the demo are
 * held to it where they are exported.)
 */
import fc from 'fast-check';
import { SAME_MATTER } from '../core/check';
import { orderOf, type Element, type Job, type SolidPaint } from '../core/job';
import { House, SHIPPED_PRINTERS } from '../core/shop';
import { checkDesk, exportJob, gathered, openDesk } from '../output';
import { runs } from '../testing/all';
import { box, inMemory, line, makeJob, words } from '../testing/jobs';
import { INKS, process } from '../testing/plates';
import { replyTo } from './index';

/** What both look at: rules of the house by those of ours that stand for them. */
const MATTERS = [...new Set(Object.values(SAME_MATTER).map((rules) => rules.join()))];
const matterOf = (rule: string): string => SAME_MATTER[rule]?.join() ?? rule;

/** On which matters each speaks. */
async function spoken(job: Job) {
  const assets = inMemory();
  const [made] = await exportJob({ job, assets, kind: 'press', at: new Date('2026-05-01T09:00:00Z') });
  const file = made && (await gathered(made));
  const { remarks } = await replyTo(file?.bytes ?? new Uint8Array(), job.house, orderOf(job));
  const findings = checkDesk(await openDesk(job, assets));
  const ours = MATTERS.filter((matter) => findings.some((f) => matter.split(',').includes(f.rule)));
  const said = remarks.filter(({ rule, weight }) => rule in SAME_MATTER && weight !== 'note');
  const theirs = MATTERS.filter((matter) => said.some(({ rule }) => matterOf(rule) === matter));
  return { ours, theirs };
}

const [YARD = House.parse({})] = SHIPPED_PRINTERS;
const BLACK = process(0, 0, 0, 100);

/** One way to spoil a job, and the matter that it is about. */
interface Spoiler {
  readonly matter: string;
  readonly spoil: (by: number) => readonly Element[];
}

/** A sound piece: a ground that bleeds, words, a rule, a panel. @param by 0 to 1, so that no two are alike */
const sound = (by: number): readonly Element[] => [
  box('ground', [0, 0, 148, 210], { fill: process(20, 10, 0, 0) }),
  words('head', 'Open night', [15 + 10 * by, 20, 100, 14], { sizePt: 24 }),
  words('text', 'Seven telescopes on the hill', [15, 60 + 40 * by, 100, 10], { sizePt: 10 }),
  line('rule', [15, 120 + 20 * by, 100, 0], { stroke: { paint: BLACK, widthPt: 0.5 } }),
  box('panel', [20, 150, 40 + 20 * by, 30], { fill: process(60, 40, 0, 10) }),
];

const inkNamed = (ink: string): SolidPaint => ({
  kind: 'spot',
  c: 0,
  m: 0,
  y: 0,
  k: 0,
  spots: [{ ink, tint: 100 }],
});

const SPOILERS: readonly Spoiler[] = [
  {
    matter: 'stops-at-trim',
    spoil: () => [box('stops', [0, 0, 148, 210], { fill: process(30, 0, 20, 0), atTrim: 'stops' })],
  },
  {
    matter: 'type-near-trim',
    spoil: (by) => [words('edge', 'At the very edge', [1 + by, 100 * by + 30, 60, 8], { sizePt: 10 })],
  },
  { matter: 'type-small', spoil: (by) => [words('tiny', 'Small print', [30, 140, 80, 6], { sizePt: 3 + by })] },
  {
    matter: 'line-thin',
    spoil: (by) => [line('hair', [20, 40, 60, 0], { stroke: { paint: BLACK, widthPt: 0.05 + 0.15 * by } })],
  },
  {
    matter: 'ink-heavy',
    spoil: (by) => [box('heavy', [30, 150, 30, 20], { fill: process(90, 80, 80, 60 + 30 * by) })],
  },
  {
    matter: 'white-overprints',
    spoil: (by) => [box('white', [40, 40 + 20 * by, 30, 20], { fill: process(0, 0, 0, 0, true) })],
  },
  {
    matter: 'black-type',
    spoil: (by) => [
      words('four', 'Black in four inks', [30, 170 + 10 * by, 80, 8], { sizePt: 10, paint: process(60, 50, 40, 100) }),
    ],
  },
  {
    matter: 'spots',
    spoil: () => [
      box('one', [60, 60, 10, 10], { fill: inkNamed('Moon Glow') }),
      box('two', [80, 60, 10, 10], { fill: inkNamed('moon glow') }),
    ],
  },
];

/** Names that differ only in capitals are refused where inks are typed; a file from elsewhere may have them. */
const TWINS = [...INKS, { ...INKS[0], name: 'Moon Glow' }, { ...INKS[0], name: 'moon glow' }] as Job['inks'];

const spoilt = (by: number, spoilers: readonly Spoiler[]): Job =>
  makeJob([...sound(by), ...spoilers.flatMap(({ spoil }) => spoil(by))], {
    inks: spoilers.some(({ matter }) => matter === 'spots') ? TWINS : INKS,
    house: YARD,
  });

test('a sound piece is sound to both', async () => {
  expect(await spoken(spoilt(0.5, []))).toEqual({ ours: [], theirs: [] });
});

/** In a common run a quarter of them. */
test('fifty jobs, each spoilt in one to three ways: both speak of the same', async () => {
  const samples = fc.sample(
    fc.record({
      by: fc.nat(1000).map((n) => n / 1000),
      which: fc.uniqueArray(fc.nat(SPOILERS.length - 1), { minLength: 1, maxLength: 3 }),
    }),
    { seed: 19, numRuns: runs(50, 4) },
  );
  const off: string[] = [];
  for (const { by, which } of samples) {
    const spoilers = which.flatMap((i) => SPOILERS[i] ?? []);
    const { ours, theirs } = await spoken(spoilt(by, spoilers));
    const missed = spoilers.filter(({ matter }) => !theirs.includes(matterOf(matter))).map(({ matter }) => matter);
    if (JSON.stringify(ours) !== JSON.stringify(theirs) || missed.length > 0)
      off.push(`${by}: ${spoilers.map((s) => s.matter).join()}; ours ${ours.join()}; theirs ${theirs.join()}`);
  }
  expect(off).toEqual([]);
});
