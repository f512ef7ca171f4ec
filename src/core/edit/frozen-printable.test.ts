import { itemsOf, leavesOf, type Drawing } from '../drawing';
import { type Job } from '../job';
import { apply, mapPath, pathBounds } from '../layout';
import { galleryEntry } from '../printable';
import { openDesk } from '../../output';
import { inMemory } from '../../testing/jobs';
import { frozenPrintable } from './frozen-printable';
import { drawnJobOf } from '../../testing/drawn';
import type { DrawnJob } from './drawn-job';
import { startPrintable } from '.';

function begun(id: string, typed: Readonly<Record<string, string>> = {}): Job {
  const entry = galleryEntry(id);
  const started = entry && startPrintable(entry, typed, { id, name: entry.title, unit: 'mm' }, {}, 'worksheet');
  if (!started?.ok) throw new Error(id);
  return started.job;
}

const drawnDesk = async (job: Job): Promise<DrawnJob> => drawnJobOf(job, (await openDesk(job, inMemory())).resources);

/** Each word with the place of its first glyph, to a twentieth of a millimetre, and how it is turned. */
const wordsOf = (drawing: Drawing) =>
  leavesOf(itemsOf(drawing)).flatMap((item) => {
    const [first] = item.kind === 'glyphs' ? item.glyphs : [];
    if (item.kind !== 'glyphs' || !first) return [];
    const { x, y } = apply(item.matrix, first);
    const near = (n: number) => Math.round(n * 20) / 20 + 0;
    return [
      `${item.glyphs.map((g) => g.text).join('')} ${near(x)} ${near(y)} ${Math.round(item.matrix[1])} ` +
        `${item.size.toFixed(2)} ${item.font}`,
    ];
  });

/** Box around all that is no word. */
const inkOf = (drawing: Drawing) => {
  const boxes = leavesOf(itemsOf(drawing)).flatMap((i) =>
    i.kind === 'path' ? [pathBounds(mapPath(i.path, i.matrix))] : [],
  );
  const round = (n: number) => Math.round(n * 10) / 10 + 0;
  return [
    round(Math.min(...boxes.map((b) => b.x))),
    round(Math.min(...boxes.map((b) => b.y))),
    round(Math.max(...boxes.map((b) => b.x + b.width))),
    round(Math.max(...boxes.map((b) => b.y + b.height))),
  ];
};

test.each([
  ['year', {}],
  ['wall-month', { holidays: 'GB' }],
  ['tickets', {}],
  ['tear-off', {}],
  ['log', {}],
  ['day', { from: '2028-01-01' }],
  ['dotted', {}],
  ['bingo', {}],
] as const)('%s frozen: every word and line stands where it stood, and no word is lost', async (id, typed) => {
  for (const family of ['Source Sans 3', 'Familjen Grotesk', 'Lora']) {
    const plain = begun(id, typed);
    const [piece] = plain.pieces;
    const type = { text: { family, weight: 400 }, title: { family, weight: 700 } };
    const surfaces = {
      front: (piece?.surfaces['front'] ?? []).map((e) => (e.kind === 'printable' ? { ...e, type } : e)),
    };
    const job = { ...plain, pieces: plain.pieces.map((p) => ({ ...p, surfaces })) };
    const desk = await drawnDesk(job);
    const [element] = surfaces.front;
    if (element?.kind !== 'printable') throw new Error('no printable');
    const after = await drawnDesk(frozenPrintable(desk, element).job);
    expect(after.drawing.frames.some((f) => f.kind === 'printable')).toBe(false);
    expect(after.drawing.notes).toEqual([]);
    expect([...wordsOf(after.drawing)].sort()).toEqual([...wordsOf(desk.drawing)].sort());
    expect(inkOf(after.drawing)).toEqual(inkOf(desk.drawing));
  }
});

test('words to trace become the outlines of their letters', async () => {
  const job = begun('tracing', { letters: 'face', words: 'Moon' });
  const desk = await drawnDesk(job);
  const [element] = desk.piece.surfaces['front'] ?? [];
  if (element?.kind !== 'printable') throw new Error('no printable');
  const after = await drawnDesk(frozenPrintable(desk, element).job);
  const dotted = leavesOf(itemsOf(after.drawing)).filter(
    (i) => i.kind === 'path' && i.path.length > 20 && i.stroke !== null,
  );
  expect(dotted.length).toBeGreaterThan(0);
});
