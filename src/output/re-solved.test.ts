import { formatOf } from '../core/format';
import { lostByChange } from '../core/check';
import { copiedTo, elementsOf, plainText, redecided, remade, usualTimes, type Job } from '../core/job';
import type { Rect } from '../core/layout';
import { demoPiece } from '../testing/demo';
import { openDesk } from './desk';

/** Another format under a layout: its constraints are as they were, its positions are solved anew. */

type Worked = readonly (readonly [side: string, name: string, rect: Partial<Rect>])[];

/** Positions worked out by hand from the constraints, mm, against what is solved. */
async function expectWorked(job: Job, assets: Parameters<typeof openDesk>[1], worked: Worked) {
  const desk = await openDesk(job, assets);
  for (const [side, name, rect] of worked) {
    const drawn = desk.sides.find((s) => s.surface.name === side)?.drawing;
    const frame = drawn?.frames.find((f) => f.name === name);
    for (const key of ['x', 'y', 'width', 'height'] as const) {
      const wanted = rect[key];
      if (wanted !== undefined)
        expect([side, name, key, frame?.rect[key]]).toEqual([side, name, key, expect.closeTo(wanted, 6)]);
    }
  }
  return desk;
}

const sized = (job: Job, width: number, height: number): Job => ({
  ...job,
  pieces: job.pieces.map((p) => redecided(p, { size: { width, height } })),
});

/**
 * A letter fold without an allowance of its own takes the paper’s: 0.115 mm of paper and half a millimetre, so
 * 3 panels − 0.615 mm fill the width, and the tucked one is the narrow one. The panel edge is 9 mm.
 */
const PANEL = { a4: (297 + 0.615) / 3, letter: (279.4 + 0.615) / 3 };
const folderAt = (panel: number, height: number): Worked => {
  const tucked = panel - 0.615;
  const [back, front, right] = [tucked, tucked + panel, 2 * panel];
  return [
    ['outside', 'Title', { x: front + 9, width: panel - 18, y: 8, height: 106 }],
    ['outside', 'Emblem', { x: front + (panel - 30) / 2, width: 30, y: height - 9 - 30 }],
    ['outside', 'Bus', { x: back + (panel - 13) / 2, y: height - 60 - 13 }],
    ['outside', 'Tucked', { x: 0, width: tucked, y: 0, height }],
    ['outside', 'List', { x: 9, width: tucked - 18, y: 47 }],
    // 42 pt below the head of the list it belongs to.
    ['outside', 'List rule', { x: 9, width: tucked - 18, y: 47 + (42 * 25.4) / 72 }],
    ['inside', 'Moor at dusk', { x: 0, width: 2 * panel + tucked, y: height - 72 }],
    ['inside', 'Headline', { x: 9, width: 2 * panel + tucked - 18 }],
    ['inside', 'body 2', { x: panel + 9, width: panel - 18, y: 76 }],
    ['inside', 'body 3', { x: right + 9, width: tucked - 18, y: 76 }],
  ];
};

test('the folder on US letter, then on A4: every constraint is kept, content moves with its panel', async () => {
  const { job, assets } = await demoPiece('visitor-folder', 0.2);
  const onLetter = sized(job, 279.4, 215.9);
  await expectWorked(onLetter, assets, folderAt(PANEL.letter, 215.9));
  const onA4 = sized(onLetter, 297, 210);
  await expectWorked(onA4, assets, folderAt(PANEL.a4, 210));
  expect(onA4.pieces[0]?.surfaces).toEqual(job.pieces[0]?.surfaces);
  // Worked through on paper once more, to the hundredth.
  const { sides } = await openDesk(onLetter, assets);
  const title = sides[0]?.drawing.frames.find((f) => f.name === 'Title');
  expect(title?.rect.x).toBeCloseTo(195.06, 2);
});

test('the flyer made an A2 poster: constraints kept, names in rows spread by the new width', async () => {
  const { job, assets } = await demoPiece('meteor-night', 0.2);
  const poster = formatOf('poster');
  const [flyer] = job.pieces;
  if (!poster || !flyer) throw new Error('no poster');
  const asPoster = sized({ ...job, pieces: [remade(job, flyer, poster)] }, 420, 594);
  expect(asPoster.pieces[0]).toMatchObject({ kind: 'poster', decisions: { sides: 2 } });
  expect(asPoster.pieces[0]?.surfaces).toEqual(flyer.surfaces);
  // Trim 420 × 594 mm; a poster’s safe margin is 10 mm, so the safe area runs from 10 to 410 and from 10 to 584 mm.
  const desk = await expectWorked(asPoster, assets, [
    ['front', 'Headline', { x: 10, width: 400, y: 10 - 4, height: 132 }],
    ['front', 'Shade', { x: 0, width: 420, y: 594 - 72, height: 72 }],
    ['front', 'Date band', { x: 44, width: 420 - 44, y: 594 - 50 - 24 }],
    ['front', 'Date', { x: 44 + 7, width: 376 - 7 - 5, y: 520 + 2.6 }],
    ['front', 'Place', { x: 51, y: 520 + 24 - 2.8 - 7 }],
    ['front', 'Rule', { x: 10, width: 400, y: 584 - 13.2 }],
    ['front', 'Credit', { y: 584 - 4.6 }],
    ['back', 'Moon', { x: 410 - 6 - 26, y: 10 + 8 }],
    ['back', 'Moon’s shadow', { x: 378 + 26 + 5 - 24, y: 18 - 3 }],
    ['back', 'Programme', { x: 10, width: 400, y: 10 + 57, height: (258 * 25.4) / 72 }],
    // (400 − 6) ÷ 2 = 197 a column.
    ['back', 'Why dark, right', { x: 10 + 197 + 6, width: 197 }],
  ]);
  const gapsOf = (frames: readonly { readonly name: string; readonly rect: Rect }[], names: readonly string[]) => {
    const boxes = names.map((name) => frames.find((f) => f.name === name)?.rect ?? { x: 0, y: 0, width: 0, height: 0 });
    return boxes.slice(1).map((box, i) => box.x - (boxes[i]?.x ?? 0) - (boxes[i]?.width ?? 0));
  };
  const before = (await openDesk(job, assets)).sides[0]?.drawing.frames ?? [];
  const after = desk.sides[0]?.drawing.frames ?? [];
  for (const row of [
    [1, 2, 3],
    [4, 5, 6],
  ].map((r) => r.map((n) => `Player ${n}`))) {
    const [a = 0, b = 0] = gapsOf(after, row);
    const [was = 0] = gapsOf(before, row);
    expect(a).toBeCloseTo(b, 6);
    // The row’s box grew from 138 to 400 mm, the names did not: each of two gaps takes half of it.
    expect(a - was).toBeCloseTo((400 - 138) / 2, 6);
  }
});

test('the flyer copied to a poster with its lengths, and that to a banner three times as wide as high', async () => {
  const { job, assets } = await demoPiece('meteor-night', 0.2);
  const [poster, banner] = [formatOf('poster'), formatOf('banner')];
  if (!poster || !banner) throw new Error('no such formats');
  const a3 = { size: 'A3' };
  // 297 ÷ 148 is 2.007, 420 ÷ 210 is 2.
  expect(usualTimes(job, poster, a3)).toBe(2);
  const first = copiedTo(job, poster, a3, { id: 'poster', name: 'Meteor-night poster', times: 2 });
  if (!first.ok) throw new Error(first.error.message);
  expect(first.job).toMatchObject({ id: 'poster', stage: 'brief', due: null, previous: null });
  // Trim 297 × 420 mm, a poster’s safe margin of 10 mm; every length of the flyer twice as long.
  await expectWorked(first.job, assets, [
    ['front', 'Headline', { x: 10, width: 277, y: 10 - 8, height: 264 }],
    ['front', 'Shade', { x: 0, width: 297, y: 420 - 144, height: 144 }],
    ['front', 'Date band', { x: 88, width: 297 - 88, y: 420 - 100 - 48, height: 48 }],
    ['front', 'Date', { x: 88 + 14, width: 209 - 14 - 10, y: 272 + 5.2, height: 24 }],
    ['front', 'Rule', { x: 10, width: 277, y: 410 - 26.4 }],
    ['back', 'Moon', { x: 287 - 12 - 52, width: 52, y: 10 + 16 }],
    ['back', 'Programme', { x: 10, width: 277, y: 10 + 114 }],
    // (277 − 12) ÷ 2 = 132.5 a column.
    ['back', 'Why dark, right', { x: 10 + 132.5 + 12, width: 132.5 }],
  ]);
  const sizesOf = (of: Job) =>
    of.pieces.flatMap(elementsOf).flatMap(({ element }) => (element.kind === 'text' ? [element.look.sizePt ?? 0] : []));
  expect(sizesOf(first.job)).toEqual(sizesOf(job).map((pt) => 2 * pt));
  // Shares, turns and counts are no lengths.
  const [was, is] = [job, first.job].map(
    (j) => j.pieces.flatMap(elementsOf).find(({ element }) => element.name === 'Shade')?.element,
  );
  expect(is?.placement.x.size).toEqual({ percent: 100 });
  expect(is?.opacity).toBe(was?.opacity);

  const wide = { size: '1260 x 420 mm' };
  // Drawn at a tenth of its size: 126 ÷ 297 is 0.424, 42 ÷ 420 is 0.1.
  expect(usualTimes(first.job, banner, wide)).toBe(0.1);
  const second = copiedTo(first.job, banner, wide, { id: 'banner', name: 'Meteor-night banner', times: 0.1 });
  if (!second.ok) throw new Error(second.error.message);
  await expectWorked(second.job, assets, [
    ['front', 'Headline', { height: 26.4 }],
    ['front', 'Date band', { x: 8.8, width: 126 - 8.8, y: 42 - 10 - 4.8, height: 4.8 }],
    ['front', 'Date', { x: 8.8 + 1.4, width: 117.2 - 2.4 }],
  ]);
  const words = (of: Job) =>
    of.pieces
      .flatMap(elementsOf)
      .flatMap(({ element }) => (element.kind === 'text' ? plainText(element.paragraphs) : []));
  expect(words(second.job)).toEqual(words(job));
  // A banner is printed on one side: what lay on the back is told, one by one, and is still in the job.
  const lost = lostByChange(first.job, second.job);
  expect(new Set(lost.map((l) => l.why))).toEqual(new Set(['there is no back any more']));
  expect(lost.map((l) => l.element)).toEqual(second.job.pieces[0]?.surfaces['back']?.map((e) => e.id));
  expect(copiedTo(job, poster, { size: 'A3ish' }, { id: 'x', name: 'x', times: 1 })).toMatchObject({
    ok: false,
    parameter: 'size',
  });
});

test('the CV on US letter, then on A4: constraints and words are kept, its columns’ feet stay level', async () => {
  const { job, assets } = await demoPiece('volunteer-cv', 0.2);
  const words = (of: Job) =>
    of.pieces
      .flatMap(elementsOf)
      .flatMap(({ element }) => (element.kind === 'text' ? plainText(element.paragraphs) : []));
  /** Baselines of the last lines of the three columns above the references. */
  const feet = (desk: Awaited<ReturnType<typeof openDesk>>) =>
    ['Left', 'Work'].flatMap((name) => {
      const items = desk.sides[0]?.drawing.frames.find((f) => f.name === name)?.items ?? [];
      const lines = items.flatMap((item) => (item.kind === 'glyphs' ? [{ x: item.matrix[4], y: item.matrix[5] }] : []));
      const lefts = name === 'Left' ? [0, 1e3] : [0, (desk.sides[0]?.surface.boxes.trim.width ?? 0) * 0.6, 1e3];
      return lefts
        .slice(1)
        .map((to, i) => Math.max(...lines.filter((l) => l.x >= (lefts[i] ?? 0) && l.x < to).map((l) => l.y)));
    });
  const onA4 = await expectWorked(job, assets, [['front', 'Band', { x: 0, y: 0, width: 210, height: 60 }]]);
  const letter = sized(job, 215.9, 279.4);
  const desk = await expectWorked(letter, assets, [
    ['front', 'Band', { x: 0, y: 0, width: 215.9, height: 60 }],
    // Three columns of the 185.9 mm within margins of 15 mm, 8 mm apart.
    ['front', 'Left', { x: 15, width: (185.9 - 16) / 3, y: 68 }],
    ['front', 'Work', { x: 15 + (185.9 - 16) / 3 + 8, width: (2 * (185.9 - 16)) / 3 + 8 }],
    ['front', 'Name', { x: 15, width: (2 * (185.9 - 16)) / 3 + 8 }],
    ['front', 'Reference 3', { x: 15 + (2 * (185.9 - 16)) / 3 + 16, y: 279.4 - 15 - 22 }],
  ]);
  for (const opened of [onA4, desk]) {
    const [first = NaN, ...others] = feet(opened);
    expect(others).toHaveLength(2);
    for (const foot of others) expect(Math.abs(foot - first)).toBeLessThan(0.05);
  }
  // A shorter sheet: what finds no room is named, word for word.
  const hidden = desk.sides.flatMap((s) => s.drawing.notes.flatMap((n) => (n.kind === 'overflow' ? [n.text] : [])));
  for (const text of hidden) expect(words(letter).some((w) => w.endsWith(text))).toBe(true);
  expect(words(letter)).toEqual(words(job));
  const back = sized(letter, 210, 297);
  expect(back.pieces[0]?.surfaces).toEqual(job.pieces[0]?.surfaces);
  expect((await openDesk(back, assets)).sides[0]?.drawing).toEqual(onA4.sides[0]?.drawing);
});

test('the catalogue from 170 × 240 mm to 148 × 210 mm: nothing is lost, pictures cross the spine', async () => {
  const { job, assets } = await demoPiece('catalogue', 0.2);
  const smaller = sized(job, 148, 210);
  expect(smaller.pieces[0]?.layouts).toEqual(job.pieces[0]?.layouts);
  // 57.5 % of both pages wide from the outer edge, 63.5 % of a page high.
  const width = 0.575 * 2 * 148;
  const desk = await expectWorked(smaller, assets, [
    ['page 4', 'picture', { x: 0, width, y: 0, height: 0.635 * 210 }],
    ['page 22', 'picture', { x: 0, width, y: 0, height: 0.635 * 210 }],
    ['page 4', 'year', { x: 12, width: 100 }],
    ['page 4', 'Folio', { x: 12, width: 20, y: 210 - 9 - 5 }],
    ['page 5', 'Folio', { x: 148 - 12 - 20, width: 20, y: 210 - 9 - 5 }],
    ['page 5', 'name', { x: 0.24 * 148, width: 148 - 0.24 * 148 - 12, y: 16 }],
    ['page 23', 'caption', { width: 0.6 * 148 }],
  ]);
  const side = (name: string) => desk.sides.find((s) => s.surface.name === name)?.drawing;
  // The part past the spine lies on the page beside it, and as far into the bleed as the picture goes.
  const crossing = side('page 5')?.repeated ?? [];
  expect(crossing).toHaveLength(1);
  expect(crossing[0]?.matrix[4]).toBeCloseTo(
    (side('page 4')?.frames.find((f) => f.name === 'picture')?.items[0]?.matrix[4] ?? NaN) - 148,
    6,
  );
  expect(side('page 24')?.repeated).toEqual([]);
  // What finds no room is named: each page’s words against the foot of its page.
  const words = (of: Job) =>
    of.pieces
      .flatMap(elementsOf)
      .flatMap(({ element }) => (element.kind === 'text' ? plainText(element.paragraphs) : []));
  expect(words(smaller)).toEqual(words(job));
  const back = sized(smaller, 170, 240);
  const [before, after] = [await openDesk(job, assets), await openDesk(back, assets)];
  expect(after.sides.map((s) => s.drawing)).toEqual(before.sides.map((s) => s.drawing));
});
