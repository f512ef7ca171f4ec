import { box, inMemory, makeJob, words } from '../../testing/jobs';
import { drawnJobOf } from '../../testing/drawn';
import { openDesk } from '../../output';
import type { Element, Job } from '../job';
import { arrangements } from './asked';

const drawn = async (job: Job) => drawnJobOf(job, (await openDesk(job, inMemory())).resources);

const BIG = box('big', [20, 30, 60, 40]);
const SMALL = box('small', [100, 100, 20, 10]);
const LAST = box('last', [60, 160, 30, 20]);

async function asking(elements: readonly Element[], ids = elements.map(({ id }) => id), more = {}) {
  const job = makeJob(elements, {}, more);
  const desk = await drawn(job);
  const asked = arrangements(desk, ids);
  return {
    words: asked.map((one) => one.words),
    /** Where all of them stand after it, and in the job what they are held by. */
    after: async (id: string) => {
      const one = asked.find((a) => a.id === id);
      if (!one) throw new Error(`${id} is not offered`);
      const changed = one.recipe(job);
      const { drawing } = await drawn(changed);
      return {
        changed,
        rect: (element: string) => drawing.frames.find((f) => f.element === element)?.rect,
        drawing,
      };
    },
  };
}

test.each([
  ['wide', { x: 100, width: 60 }],
  ['high', { y: 100, height: 40 }],
  ['left', { x: 20, width: 20 }],
  ['right', { x: 60, width: 20 }],
  ['top', { y: 30, height: 10 }],
  ['centre', { x: 40, width: 20 }],
  ['middle', { y: 45, height: 10 }],
])('%s as the first one, and so it stays when that changes', async (id, wanted) => {
  const { after } = await asking([BIG, SMALL]);
  const { rect, changed } = await after(id);
  expect(rect('small')).toMatchObject(wanted);
  expect(rect('big')).toMatchObject({ x: 20, y: 30, width: 60, height: 40 });
  const [piece] = changed.pieces;
  const small = piece?.surfaces['front']?.find((e) => e.id === 'small');
  expect(JSON.stringify(small?.placement)).toContain('"element":"big"');
});

test('what the first one waits for is not made to wait for it', async () => {
  const held = {
    ...SMALL,
    placement: { ...SMALL.placement, against: { box: 'element', element: 'big', part: 'whole' } },
  };
  const { words: offered } = await asking([held as Element, BIG], ['small', 'big']);
  expect(offered.some((said) => said.startsWith('as wide'))).toBe(false);
});

test('in the middle between two, on the axis on which they lie apart', async () => {
  const beside = box('beside', [120, 30, 20, 40]);
  const across = await (await asking([BIG, beside, LAST])).after('between');
  // 80 to 120 is free between them.
  expect(across.rect('last')).toMatchObject({ x: 100 - 15, y: 160 });
  const below = box('below', [20, 110, 60, 40]);
  const down = await (await asking([BIG, below, LAST])).after('between');
  expect(down.rect('last')).toMatchObject({ x: 60, y: 90 - 10 });
});

test('equal gaps: what is left over, shared', async () => {
  const { after } = await asking([BIG, LAST, SMALL]);
  const { rect } = await after('gaps-y');
  const tops = [rect('big'), rect('last'), rect('small')].flatMap((r) => (r ? [r] : [])).sort((a, b) => a.y - b.y);
  const gaps = tops.slice(1).map((r, i) => r.y - (tops[i]?.y ?? 0) - (tops[i]?.height ?? 0));
  expect(gaps[0]).toBeCloseTo(gaps[1] ?? NaN, 6);
});

test('texts of two sizes on one baseline', async () => {
  const head = words('head', 'Head', [10, 40, 50, 20], { sizePt: 30 });
  const note = words('note', 'note', [70, 80, 50, 10], { sizePt: 8 });
  const { after, words: offered } = await asking([head, note]);
  expect(offered).toContain('on the baseline of “head”');
  const { drawing } = await after('baseline');
  const foot = (id: string) =>
    drawing.frames
      .filter((f) => f.element === id)
      .flatMap((f) => f.items)
      .flatMap((item) => (item.kind === 'glyphs' ? item.glyphs.map(({ y }) => y) : []))[0];
  expect(foot('note')).toBeCloseTo(foot('head') ?? NaN, 6);
});

test('the columns that a thing lies in are filled by it', async () => {
  const grid = { columns: 3, gutter: 6, rows: 1, rowGutter: 4 };
  const { after } = await asking([box('wide', [20, 30, 70, 10])], ['wide'], { grid });
  const { rect, changed } = await after('columns');
  // The safe area is 138 mm wide: three columns of 42 mm.
  expect(rect('wide')).toMatchObject({ x: 5, width: 90 });
  expect(changed.pieces[0]?.surfaces['front']?.[0]?.placement.x.of).toMatchObject({ box: 'columns', from: 1, to: 2 });
  expect((await asking([BIG])).words).toEqual([]);
});
