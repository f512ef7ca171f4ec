import { leavesOf, type Drawing, type GlyphItem } from '../drawing';
import type { Job } from '../job';
import { openDesk } from '../../output';
import { begin, box, inMemory, makeJob, shape, words } from '../../testing/jobs';
import { apply } from '../layout';

const PROSE = 'Eyes need about twenty minutes to learn the dark and one headlamp to forget it. '.repeat(6).trim();

const sidesOf = async (job: Job): Promise<readonly Drawing[]> =>
  (await openDesk(job, inMemory())).sides.map((s) => s.drawing);
const glyphsOf = (drawing: Drawing | undefined, id: string): readonly GlyphItem[] =>
  leavesOf(drawing?.frames.find((f) => f.element === id)?.items ?? []).flatMap((i) => (i.kind === 'glyphs' ? [i] : []));
const origins = (items: readonly GlyphItem[]) => items.flatMap((item) => item.glyphs.map((g) => apply(item.matrix, g)));
const textOf = (items: readonly GlyphItem[]) => items.flatMap((i) => i.glyphs.map((g) => g.text)).join('');

test('text keeps off a circle by its gap, and flows under what it is not told to keep off', async () => {
  const around = [
    words('t', PROSE, [10, 10, 120, 150]),
    shape('moon', [80, 30, 60, 60], { form: 'ellipse' }, { wrap: 4 }),
  ];
  const [drawing] = await sidesOf(makeJob(around));
  const items = glyphsOf(drawing, 't');
  // Baselines that stand inside the circle would be nearer to its middle than its radius and the gap.
  for (const p of origins(items)) expect(Math.hypot(p.x - 110, p.y - 60)).toBeGreaterThan(30 + 4 - 0.2);
  const [plain] = await sidesOf(makeJob(around.map((e) => ({ ...e, wrap: null }))));
  expect(origins(glyphsOf(plain, 't')).some((p) => Math.hypot(p.x - 110, p.y - 60) < 30)).toBe(true);
  expect(textOf(items).replace(/\s/g, '')).toBe(PROSE.replace(/\s/g, ''));
});

test('type along a circle stands on it, its middle at the top, and reads round', async () => {
  const [drawing] = await sidesOf(
    makeJob([
      shape('ring', [40, 40, 60, 60], { form: 'ellipse' }),
      words('t', 'Quillrook Dark-Sky Society', [0, 0, 40, 10], {}, { along: { shape: 'ring' } }),
    ]),
  );
  const items = glyphsOf(drawing, 't');
  expect(textOf(items)).toBe('Quillrook Dark-Sky Society');
  // The middle of each glyph’s foot, on the circle of 30 mm about 70, 70.
  const feet = items.map(({ matrix }) => ({ x: matrix[4] - 70, y: matrix[5] - 70 }));
  for (const f of feet) expect(Math.hypot(f.x, f.y)).toBeCloseTo(30, 1);
  const angles = feet.map((f) => Math.atan2(f.x, -f.y));
  expect(Math.abs((angles[0] ?? 0) + (angles.at(-1) ?? 0))).toBeLessThan(0.12);
  for (let i = 1; i < angles.length; i += 1) expect(angles[i]).toBeGreaterThan(angles[i - 1] ?? 0);
});

test('type along a shape that is gone says so, and prints nothing', async () => {
  const [drawing] = await sidesOf(makeJob([words('t', 'Moor', [0, 0, 40, 10], {}, { along: { shape: 'nowhere' } })]));
  expect(glyphsOf(drawing, 't')).toEqual([]);
  expect(drawing?.notes).toContainEqual({ kind: 'missing-outline', element: 't' });
});

test('text flows from side to side; only what no frame has room for is said to be hidden', async () => {
  const job = begin('flyer', { size: 'A6', sides: '2' });
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  const laid = (height: number): Job => ({
    ...job,
    pieces: [
      {
        ...piece,
        surfaces: {
          front: [words('a', PROSE, [8, 8, 89, 30])],
          back: [words('b', '', [8, 8, 60, height], {}, { after: 'a' })],
        },
      },
    ],
  });
  const [front, back] = await sidesOf(laid(120));
  const both = textOf(glyphsOf(front, 'a')) + textOf(glyphsOf(back, 'b'));
  expect(both.replace(/\s/g, '')).toBe(PROSE.replace(/\s/g, ''));
  expect([...(front?.notes ?? []), ...(back?.notes ?? [])]).toEqual([]);
  const [, short] = await sidesOf(laid(12));
  const [note] = short?.notes ?? [];
  expect(note).toMatchObject({ kind: 'overflow', element: 'b' });
  if (note?.kind === 'overflow') expect(PROSE.endsWith(note.text)).toBe(true);
});

test('baselines stand on the grid of the piece, on whatever box their frame stands', async () => {
  const job = makeJob(
    [
      words('a', PROSE, [10, 17, 60, 100], { sizePt: 9, onGrid: true }),
      words('b', PROSE, [75, 31.3, 60, 100], { sizePt: 11, onGrid: true }),
    ],
    {},
    { baselineGrid: { first: 12, stepPt: 13 } },
  );
  const [drawing] = await sidesOf(job);
  const step = (13 * 25.4) / 72;
  const baselines = ['a', 'b'].flatMap((id) => origins(glyphsOf(drawing, id)).map((p) => p.y));
  for (const y of baselines) expect(Math.abs((y - 12) / step - Math.round((y - 12) / step))).toBeLessThan(1e-6);
});

test('two names are made equally long on paper, to 0.01 mm, whatever they are fitted by', async () => {
  for (const by of ['size', 'tracking', 'scale'] as const) {
    const fitted = (id: string, text: string, y: number) =>
      words(id, text, [20, y, 90, 30], { sizePt: 20 }, { fit: { to: 'width', by } });
    const [drawing] = await sidesOf(makeJob([fitted('a', 'Ada Fellwright', 10), fitted('b', 'The Low Lanterns', 50)]));
    for (const frame of drawing?.frames ?? []) {
      expect(Math.abs(frame.ink.x - 20)).toBeLessThan(0.01);
      expect(Math.abs(frame.ink.width - 90)).toBeLessThan(0.01);
    }
  }
});

test('a text that follows another element’s place still follows it when its own words change', async () => {
  const job = makeJob([
    box('band', [10, 10, 100, 20]),
    words('t', 'one\ntwo', [12, 12, 96, 16], {}, { vertical: 'bottom' }),
  ]);
  const [one] = await sidesOf(job);
  const [again] = await sidesOf(job);
  expect(one).toEqual(again);
});
