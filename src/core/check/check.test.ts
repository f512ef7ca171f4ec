import { checked } from '../../testing/checked';
import { checkDesk, openDesk } from '../../output';
import { begin, box, element, inMemory, line, makeJob, picture, pictureFacts, words } from '../../testing/jobs';
import type { Element, Job } from '../job';
import { itemsOf } from '../drawing';
import { Effect, blankOf, redecided, tableOfWords, takeHouse } from '../job';
import { House, SHIPPED_PRINTERS } from '../shop';
import { RULES, applyChange, figureChanges, lostByChange, withinLimit, type Finding } from './index';

const of = async (front: readonly Element[], more: Partial<Job> = {}) => checked(makeJob(front, more));
const ids = (found: readonly Finding[]) => found.map((f) => `${f.rule}/${f.element ?? ''}`);

/** Applies the first fix of a finding and checks again. */
async function fixed(job: Job, rule: string): Promise<readonly Finding[]> {
  const finding = (await checked(job)).find((f) => f.rule === rule);
  const fix = finding?.fixes[0];
  if (!fix) throw new Error(`${rule} was not found, or has no fix: ${JSON.stringify(finding)}`);
  return checked(applyChange(job, fix.change));
}

const SHA = 'a'.repeat(64);
const withPicture = (width: number, height: number): Partial<Job> => ({
  assets: { [SHA]: pictureFacts(width, height) },
});

test('a sound page has nothing found', async () => {
  expect(await of([box('ground', [0, 0, 148, 210]), words('heading', 'Meteor night', [10, 10, 100, 20])])).toEqual([]);
});

describe('bleed', () => {
  test('a background that stops at the trim', async () => {
    const job = makeJob([box('ground', [0, 0, 148, 210], { atTrim: 'stops' })]);
    expect(ids(await checked(job))).toEqual(['bleed/ground']);
    expect((await checked(job))[0]?.message).toContain('top, right, bottom and left');
    expect(await fixed(job, 'bleed')).toEqual([]);
  });
  test.each([
    ['half a millimetre short', [0, 0, 147.5, 210]],
    ['past the trim, inside the bleed', [-1, 0, 149, 210]],
  ] as const)('an edge %s', async (_words, r) => {
    const job = makeJob([box('ground', r)]);
    expect(ids(await checked(job))).toEqual(['bleed/ground']);
    expect(await fixed(job, 'bleed')).toEqual([]);
  });
  test('without bleed there is nothing to miss', async () => {
    const none = { top: 0, right: 0, bottom: 0, left: 0 };
    const job = makeJob([box('ground', [0, 0, 148, 210], { atTrim: 'stops' })], {}, { bleed: none });
    expect(await checked(job)).toEqual([]);
  });
  test('a picture that does not fill its bleeding frame', async () => {
    const job = makeJob([picture('sky', SHA, [0, 0, 148, 210], { fit: { mode: 'fit' } })], withPicture(3000, 3000));
    expect(ids(await checked(job))).toEqual(['bleed/sky']);
    expect(await fixed(job, 'bleed')).toEqual([]);
  });
});

describe('safe area', () => {
  test('type in the danger rim, moved inside by its fix', async () => {
    const job = makeJob([words('credit', 'Free entry', [1, 100, 60, 8])]);
    expect(ids(await checked(job))).toEqual(['safe-area/credit']);
    expect(await fixed(job, 'safe-area')).toEqual([]);
  });
  test('counts the ink, not the frame: a frame to the edge with its words well inside is fine', async () => {
    expect(await of([words('credit', 'Free', [0, 100, 148, 20], { align: 'centre' })])).toEqual([]);
  });
  test('a glow may run off the sheet where its words may not', async () => {
    const glow = { effect: 'glow', paint: { kind: 'paper' }, blur: 12 };
    const title = { ...words('title', 'Meteor night', [6, 40, 136, 20]), effects: [Effect.parse(glow)] };
    expect(await of([title])).toEqual([]);
  });
  test('words of a table that runs past the trim are cut: a fault, however the table got so high', async () => {
    const placement = {
      against: { box: 'trim' },
      x: { start: 10, size: 110 },
      y: { start: 10, size: 'content' },
    } as const;
    const table = (rows: number) =>
      element({
        kind: 'table',
        id: 'programme',
        name: 'programme',
        placement,
        ...tableOfWords(Array.from({ length: rows }, (_, i) => [`Hour ${i}`, 'Look up'])),
      });
    expect((await of([table(90)]))[0]).toMatchObject({
      rule: 'safe-area',
      severity: 'fault',
      message: 'Type is cut at the bottom edge.',
    });
    expect(await of([table(9)])).toEqual([]);
  });
  test('a small box near the knife is a warning, one that reaches the trim is meant to', async () => {
    expect((await of([box('dot', [2, 50, 10, 10])]))[0]).toMatchObject({ rule: 'safe-area', severity: 'warning' });
    expect(await of([box('tab', [0, 50, 10, 10])])).toEqual([]);
  });
});

test('text overflow names the hidden words, and its fix shows them', async () => {
  const job = makeJob([words('list', 'one\ntwo\nthree\nfour', [10, 10, 60, 12])]);
  const [found] = await checked(job);
  expect(found).toMatchObject({ rule: 'text-overflow', severity: 'fault' });
  expect(found?.message).toContain('three');
  expect(await fixed(job, 'text-overflow')).toEqual([]);
});

describe('pictures', () => {
  test('too few pixels for the size: says how many are wanted', async () => {
    const [found] = await of([picture('sky', SHA, [0, 0, 148, 210])], withPicture(900, 1277));
    expect(found).toMatchObject({ rule: 'picture-resolution', severity: 'fault' });
    // (148 + 6) mm ÷ 25.4 × 300 = 1819 px.
    expect(found?.message).toContain('1819 ×');
  });
  test('enough pixels at the reading distance of a poster', async () => {
    const facts = { ...withPicture(900, 1277), readingDistance: 1000 };
    expect(await of([picture('sky', SHA, [0, 0, 148, 210])], facts)).toEqual([]);
  });
  test('scaled too large: the fix scales it down', async () => {
    const job = makeJob(
      [picture('sky', SHA, [20, 20, 60, 60], { fit: { mode: 'scale', percent: 200 } })],
      withPicture(900, 900),
    );
    expect(ids(await checked(job))).toEqual(['picture-resolution/sky']);
    expect(await fixed(job, 'picture-resolution')).toEqual([]);
  });
  test('an empty frame and a lost picture', async () => {
    const found = await of([picture('empty', null, [20, 20, 40, 40]), picture('lost', SHA, [20, 70, 40, 40])]);
    expect(ids(found)).toEqual(['missing/lost', 'missing/empty', 'empty-page/']);
  });
});

describe('type and lines', () => {
  test.each([
    [5, { kind: 'process', c: 0, m: 0, y: 0, k: 100 }, true],
    [6, { kind: 'process', c: 0, m: 0, y: 0, k: 100 }, false],
    [6, { kind: 'paper' }, true],
    [6, { kind: 'process', c: 60, m: 60, y: 0, k: 0 }, true],
    [7, { kind: 'paper' }, false],
  ] as const)('%d pt in %j: %s', async (sizePt, paint, isFound) => {
    const job = makeJob([words('small', 'Small', [20, 20, 60, 20], { sizePt, paint })]);
    expect((await checked(job)).some((f) => f.rule === 'type-small')).toBe(isFound);
    if (isFound) expect(await fixed(job, 'type-small')).toEqual([]);
  });
  test('a hairline in a tint needs twice the width', async () => {
    const stroke = (k: number, widthPt: number) => ({
      paint: { kind: 'process' as const, c: 0, m: 0, y: 0, k },
      widthPt,
      dash: 'solid' as const,
    });
    expect(await of([line('rule', [20, 20, 60, 0], { stroke: stroke(100, 0.25) })])).toEqual([]);
    const job = makeJob([line('rule', [20, 20, 60, 0], { stroke: stroke(40, 0.25) })]);
    expect(ids(await checked(job))).toEqual(['line-thin/rule']);
    expect(await fixed(job, 'line-thin')).toEqual([]);
  });
});

describe('ink', () => {
  test('more than the paper takes; the fix keeps the black', async () => {
    const heavy = { kind: 'process' as const, c: 90, m: 90, y: 90, k: 90 };
    const job = makeJob([box('dark', [20, 20, 40, 40], { fill: heavy })]);
    expect(ids(await checked(job))).toEqual(['total-ink/dark']);
    expect(await fixed(job, 'total-ink')).toEqual([]);
    expect(withinLimit({ c: 90, m: 90, y: 90, k: 90 }, 300)).toEqual({ c: 70, m: 70, y: 70, k: 90 });
    expect(withinLimit({ c: 100, m: 0, y: 0, k: 0 }, 300)).toEqual({ c: 100, m: 0, y: 0, k: 0 });
  });
  test('RGB only where the printer wants none', async () => {
    const rgb = [box('sea', [20, 20, 40, 40], { fill: { kind: 'rgb', r: 40, g: 90, b: 120 } })];
    expect(await of(rgb)).toEqual([]);
    const job = makeJob(rgb, { house: House.parse({ name: 'Copperplate Yard', rgb: 'refuse' }) });
    expect(ids(await checked(job))).toEqual(['rgb-left/sea']);
    expect(await fixed(job, 'rgb-left')).toEqual([]);
  });
});

describe('type', () => {
  test('typewriter signs are found, in the language of the text, and all mended at once', async () => {
    const job = makeJob([words('t', 'She said "no" - twice...', [20, 20, 100, 20])]);
    const [found] = await checked(job);
    expect(found).toMatchObject({ rule: 'typography', severity: 'note' });
    expect(found?.message).toContain('4 places');
    expect(await fixed(job, 'typography')).toEqual([]);
    const german = makeJob([words('t', 'Sie sagte „nein“', [20, 20, 100, 20], {}, { language: 'de' })]);
    expect(await checked(german)).toEqual([]);
  });

  test('type read from afar is large enough for it', async () => {
    const job = makeJob([words('t', 'Moor', [20, 20, 100, 20], { sizePt: 12 })], { readingDistance: 1500 });
    const [found] = await checked(job);
    // 1500 mm ÷ 300 ÷ 0.7 = 7.14 mm = 20.2 pt [cp].
    expect(found).toMatchObject({ rule: 'type-distance', message: expect.stringContaining('20.2 pt') as string });
    expect(await fixed(job, 'type-distance')).toEqual([]);
  });

  test('three families pull a letterhead apart, not a flyer', async () => {
    const three = ['Lora', 'Jost', 'Oswald'].map((family, i) =>
      words(family, 'Moor', [30, 40 + i * 20, 60, 12], { family }),
    );
    expect(ids(await of(three))).toEqual([]);
    const letter = begin('letterhead', { size: 'A4', sides: '1' });
    const [piece] = letter.pieces;
    if (!piece) throw new Error('no piece');
    const laid = { ...letter, pieces: [{ ...piece, surfaces: { front: three } }] };
    expect(await checked(laid)).toMatchObject([{ rule: 'type-families', element: null, severity: 'note' }]);
  });

  test('what does not fit is enlarged, tightened by at most a tenth, or flows on to the next side', async () => {
    const long = 'Eyes need about twenty minutes to learn the dark and one headlamp to forget it.';
    const job = makeJob([words('t', long, [20, 20, 60, 15])], {}, { sides: 2 });
    const overflow = (await checked(job)).find((f) => f.rule === 'text-overflow');
    expect(overflow?.fixes.map((f) => f.label)).toEqual([
      'Enlarge the frame',
      'Tighten it, at most by a tenth',
      'Flow on: back',
    ]);
    for (const { change } of overflow?.fixes ?? []) {
      const after = await checked(applyChange(job, change));
      expect(after.filter((f) => f.rule === 'text-overflow')).toEqual([]);
    }
  });
});

test('a missing font is named, and another can stand in for good', async () => {
  const job = makeJob([words('heading', 'Moon', [20, 20, 60, 20], { family: 'Nowhere Sans' })]);
  expect((await checked(job))[0]?.message).toContain('Nowhere Sans');
  expect(await fixed(job, 'missing')).toEqual([]);
});

test('a sign that the font lacks is found before the press does', async () => {
  const found = await of([words('heading', 'Moon 月', [20, 20, 60, 20])]);
  expect(found[0]).toMatchObject({ rule: 'missing', severity: 'fault' });
  expect(found[0]?.message).toContain('月');
});

test('an empty back can be made a blank one', async () => {
  const job = makeJob([box('ground', [0, 0, 148, 210])], {}, { sides: 2 });
  expect(await checked(job)).toMatchObject([{ rule: 'empty-page', surface: 'back' }]);
  expect(await fixed(job, 'empty-page')).toEqual([]);
});

describe('placement', () => {
  test('edges that pass each other after a smaller size', async () => {
    const narrow: Element = {
      ...box('strip', [0, 0, 1, 1]),
      placement: {
        against: { box: 'trim' },
        x: { start: 90, end: 90 },
        y: { start: 20, size: 10 },
        rotate: 0,
        shear: 0,
      },
    };
    expect(ids(await of([box('ground', [0, 0, 148, 210]), narrow]))).toContain('placement/strip');
  });
  test('a column that the grid no longer has', async () => {
    const third: Element = {
      ...box('third', [0, 0, 1, 1]),
      placement: {
        against: { box: 'columns', from: 3, to: 3 },
        x: { start: 0, end: 0 },
        y: { start: 20, size: 10 },
        rotate: 0,
        shear: 0,
      },
    };
    const job = makeJob([third], {}, { grid: { columns: 2, gutter: 4, rows: 1, rowGutter: 4 } });
    expect(ids(await checked(job))).toEqual(['placement/third']);
    expect(await fixed(job, 'placement')).toEqual([]);
  });
  test('what lies wholly off the piece', async () => {
    expect(ids(await of([box('ground', [0, 0, 148, 210]), box('lost', [200, 20, 10, 10])]))).toEqual([
      'placement/lost',
    ]);
  });
});

test('every rule says why it matters, and has an id of its own', () => {
  for (const rule of RULES) expect(rule.why.length).toBeGreaterThan(30);
  expect(new Set(RULES.map((r) => r.id)).size).toBe(RULES.length);
});

describe('the piece itself and its zones', () => {
  const findings = async (kind: string, set: Record<string, string>, surfaces: Record<string, readonly Element[]>) => {
    const job = begin(kind, set);
    const laid = {
      ...job,
      pieces: job.pieces.map((p) => ({
        ...p,
        surfaces: Object.fromEntries(Object.entries(surfaces).map(([k, v]) => [k, [...v]])),
      })),
    };
    return checkDesk(await openDesk(laid, inMemory()));
  };
  test('type in the filing margin is a fault, a background over it is none', async () => {
    const found = await findings(
      'letterhead',
      { holes: 'two' },
      {
        front: [box('ground', [0, 0, 210, 297]), words('note', 'Moon', [4, 100, 40, 10])],
      },
    );
    expect(found.filter((f) => f.rule === 'zones')).toMatchObject([{ element: 'note', severity: 'fault' }]);
  });
  test('words of a table in the filing margin are a fault, its empty rim is looked at only', async () => {
    const zones = async (first: string) => {
      const table = element({
        kind: 'table',
        id: 'log',
        name: 'log',
        placement: { against: { box: 'trim' }, x: { start: 1, size: 199 }, y: { start: 10, size: 270 } },
        ...tableOfWords([[first, 'Half of it seen']]),
      });
      const found = await findings('letterhead', { holes: 'two' }, { front: [table] });
      return found.filter((f) => f.rule === 'zones').map((f) => f.severity);
    };
    expect(await zones('Moon')).toEqual(['fault']);
    expect(await zones('')).toEqual(['warning']);
  });
  test('a glue flap stays bare, whatever lies on it', async () => {
    const job = begin('table-tent');
    const laid = {
      ...job,
      pieces: job.pieces.map((p) => ({ ...p, surfaces: { outside: [box('ground', [0, 0, 100, 385])] } })),
    };
    const desk = await openDesk(laid, inMemory());
    const items = itemsOf(desk.sides[0]?.drawing ?? fail());
    expect(items.at(-1)).toMatchObject({
      from: 'glue flap',
      fill: { build: { c: 0, m: 0, y: 0, k: 0 }, overprint: false },
    });
  });
  test('what the format finds is found, once for the piece', async () => {
    const found = await findings('brochure', { allowance: 'even' }, { outside: [box('a', [10, 10, 20, 20])] });
    expect(found.filter((f) => f.rule === 'blank-problems')).toHaveLength(1);
    expect(found.find((f) => f.rule === 'blank-problems')?.message).toContain('buckles');
  });
  test('a hundred empty pages are said once', async () => {
    const found = await findings('catalogue', { pages: '100' }, {});
    expect(found.filter((f) => f.rule === 'empty-page')).toMatchObject([
      { message: 'Nothing is printed on any of its 102 sides yet.' },
    ]);
  });
  test('a printer whose sheets are all too small is a fault', async () => {
    const job = begin('poster', { size: 'A0' });
    const house = { ...job.house, name: 'Small house', sheets: [{ name: 'A4', width: 210, height: 297 }] };
    const found = checkDesk(await openDesk({ ...job, house }, inMemory()));
    expect(found.find((f) => f.rule === 'blank-problems')?.message).toContain('none of the sheets of Small house');
  });
  test('less bleed than the knife wanders is pointed out, none at all is a decision', async () => {
    const messages = async (bleed: string) => (await findings('flyer', { bleed }, {})).map((f) => f.message).join(' ');
    expect(await messages('0.5mm')).toContain('less than the knife wanders');
    expect(await messages('0mm')).not.toContain('wanders');
  });
});

describe('what a change loses', () => {
  const laid = (kind: string, set: Record<string, string>, surfaces: Record<string, readonly Element[]>): Job => {
    const job = begin(kind, set);
    return {
      ...job,
      pieces: job.pieces.map((p) => ({
        ...p,
        surfaces: Object.fromEntries(Object.entries(surfaces).map(([k, v]) => [k, [...v]])),
      })),
    };
  };
  const withSize = (job: Job, width: number, height: number): Job => ({
    ...job,
    pieces: job.pieces.map((p) => redecided(p, { size: { width, height } })),
  });
  test('only what fitted before and does not now', () => {
    const before = laid(
      'flyer',
      {},
      { front: [box('in', [100, 10, 20, 20]), box('out', [200, 10, 20, 20]), box('stays', [10, 10, 20, 20])] },
    );
    expect(lostByChange(before, withSize(before, 105, 148))).toMatchObject([
      { element: 'in', why: 'it reaches past the trim' },
    ]);
    expect(lostByChange(before, withSize(before, 210, 297))).toEqual([]);
  });
  test('a side that is gone, and a panel that is gone', () => {
    const two = laid('flyer', {}, { back: [box('b', [10, 10, 20, 20])] });
    const one = { ...two, pieces: two.pieces.map((p) => redecided(p, { sides: 1 })) };
    expect(lostByChange(two, one)).toMatchObject([{ side: 'back', why: 'there is no back any more' }]);
    const held = {
      ...box('h', [1, 1, 20, 20]),
      placement: {
        against: { box: 'panel' as const, panel: 'tucked panel' },
        x: { start: 1, size: 20 },
        y: { start: 1, size: 20 },
        rotate: 0,
        shear: 0,
      },
    };
    const letter = laid('brochure', {}, { outside: [held] });
    const half = { ...letter, pieces: letter.pieces.map((p) => redecided(p, { fold: 'half' })) };
    expect(lostByChange(letter, half)).toMatchObject([
      { element: 'h', why: 'it stands against tucked panel, which is gone' },
    ]);
  });
  test('the figures that another house changes, in words', () => {
    const job = begin('flyer');
    const [piece] = job.pieces;
    const [flatbed] = SHIPPED_PRINTERS.filter((p) => p.name === 'Flatbed Nine');
    if (!piece || !flatbed) throw new Error('nothing to compare');
    const after = takeHouse(job, flatbed);
    expect(figureChanges(blankOf(job, piece), blankOf(after, piece), 'mm')).toContain('Bleed 3 mm → 10 mm');
    expect(after.output.marks).toMatchObject({ colourBar: false, register: false, corner: true });
  });
});

describe('distances that are almost the same', () => {
  const at = (id: string, left: number) => box(id, [left, 20, 10, 10]);
  const near = async (job: Job) => (await checked(job)).filter((f) => f.rule === 'near-miss');
  test('one of several is named and put right by its fix', async () => {
    const job = makeJob(
      [at('a', 12), at('b', 12), at('c', 12), at('d', 12.3)].map((e, i) => ({
        ...e,
        placement: { ...e.placement, y: { start: 20 + i * 15, size: 10 } },
      })),
    );
    const [found, ...others] = await near(job);
    expect(others).toHaveLength(0);
    expect(found).toMatchObject({ element: 'd', severity: 'note' });
    expect(found?.message).toContain('3 others are 12 mm');
    const fix = found?.fixes[0];
    expect(fix && (await near(applyChange(job, fix.change)))).toEqual([]);
  });
  test('one near a named measure is given that measure', async () => {
    const job = makeJob([at('a', 13.8)], { measures: [{ id: 'e', name: 'edge distance', value: 14 }] });
    const [found] = await near(job);
    expect(found?.message).toContain('“edge distance” is 14 mm');
    const fix = found?.fixes[0]?.change;
    expect(fix?.kind === 'element' && fix.element.placement.x.start).toEqual({ measure: 'e' });
  });
  test('what is plainly another distance is left alone', async () => {
    expect(await near(makeJob([at('a', 12), at('b', 12), at('c', 12), at('d', 14)]))).toEqual([]);
  });
});

test('a picture where a vector logo is expected is pointed out', async () => {
  const sha = 'a'.repeat(64);
  const job = makeJob([picture('logo', sha, [20, 20, 30, 30], { expects: 'vector' })], {
    assets: { [sha]: pictureFacts(900, 900) },
  });
  expect((await checked(job)).map((f) => f.rule)).toContain('vector-wanted');
});
