import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { getDaysInMonth } from 'date-fns';
import * as fontkit from 'fontkit';
import { checkSurface } from '../core/check';
import { itemsOf, leavesOf, type Drawing } from '../core/drawing';
import { Element, describeDifferences, elementsOn, redecided, withSide, type Job, type Piece } from '../core/job';
import { apply, mapPath, pathBounds } from '../core/layout';
import { GALLERY, galleryEntry } from '../core/printable';
import { some } from '../testing/all';
import { exported, pdfOf } from '../testing/exports';
import { inMemory, makeJob } from '../testing/jobs';
import { boxesOf, inFolder, run } from '../testing/programs';
import { fontBytes } from '../testing/type';
import { checkDesk, openDesk } from './index';
import { startPrintable, withDecisions } from '../core/edit';

type Typed = Readonly<Record<string, string>>;

function begun(id: string, typed: Typed = {}, unit: 'mm' | 'in' = 'mm'): Job {
  const entry = galleryEntry(id);
  if (!entry) throw new Error(id);
  const started = startPrintable(entry, typed, { id: 'job', name: entry.title, unit });
  if (!started.ok) throw new Error(`${started.parameter}: ${started.error.message}`);
  return started.job;
}

/** A printable over the trim of a plain sheet. */
const onSheet = (
  content: Record<string, unknown>,
  more: Record<string, unknown> = {},
  piece: Record<string, unknown> = {},
): Job =>
  makeJob(
    [
      Element.parse({
        kind: 'printable',
        id: 'p',
        placement: { against: { box: 'trim' }, x: { start: 0, end: 0 }, y: { start: 0, end: 0 } },
        content,
        ...more,
      }),
    ],
    {},
    piece,
  );

const wordsOn = (drawing: Drawing): readonly string[] =>
  leavesOf(itemsOf(drawing)).flatMap((i) => (i.kind === 'glyphs' ? [i.glyphs.map((g) => g.text).join('')] : []));

describe('every entry of the gallery', () => {
  test.each(some(GALLERY, 2).map((e) => e.id))(
    '%s begins a job in mm and in inches that is drawn, and has no fault',
    async (id) => {
      for (const unit of ['mm', 'in'] as const) {
        const job = begun(id, {}, unit);
        const desk = await openDesk(job, inMemory());
        expect(desk.sides.some((s) => itemsOf(s.drawing).length > 0)).toBe(true);
        expect(desk.sides.flatMap((s) => s.drawing.notes)).toEqual([]);
        expect(
          checkDesk(desk)
            .filter((f) => f.severity === 'fault')
            .map((f) => [f.rule, f.message]),
        ).toEqual([]);
      }
    },
  );
});

describe('a wall calendar', () => {
  test('its pages hold the days that the reference library gives; next year’s are one decision away', async () => {
    for (const year of [2027, 2028]) {
      const desk = await openDesk(
        begun('wall-month', { year: String(year), neighbours: 'hidden', names: 'none' }),
        inMemory(),
      );
      const grids = desk.sides.filter((s) => s.surface.name.endsWith('grid'));
      expect(grids).toHaveLength(12);
      grids.forEach(({ drawing }, i) => {
        const days = wordsOn(drawing)
          .filter((w) => /^\d+$/.test(w))
          .map(Number);
        expect(days).toEqual(Array.from({ length: getDaysInMonth(new Date(year, i, 15)) }, (_, d) => d + 1));
        expect(wordsOn(drawing).join(' ')).toContain(String(year));
      });
    }
  });

  test('its grid stands where the kind of piece has it: 153 mm below a head of 42, six rows of 23.7', async () => {
    const desk = await openDesk(begun('wall-month', { rows: 'six' }), inMemory());
    const side = desk.sides.find((s) => s.surface.name === 'month 1 grid');
    const row = side?.drawing.frames[0]?.findings?.find((f) => f.id === 'row');
    expect(row?.value).toBeCloseTo(23.7, 6);
    expect(row?.stops?.stops[2]).toBeCloseTo(42 - 15 + 10.8, 6);
  });
});

test('a planner of 366 days shows each once, in order, pages left and right', async () => {
  const desk = await openDesk(begun('day', { from: '2028-01-01' }), inMemory());
  const dated = desk.sides.filter((s) => s.drawing.frames.length > 0);
  expect(dated).toHaveLength(366);
  const words = dated.map((s) => wordsOn(s.drawing).slice(0, 3).join(' '));
  expect(words[0]).toMatch(/^1 Saturday 1 January 2028/);
  expect(words[59]).toMatch(/^29 Tuesday 29 February 2028/);
  expect(words[365]).toMatch(/^31 Sunday 31 December 2028/);
});

describe('handwriting meets its lines', () => {
  const font = fontkit.create(fontBytes('source-sans-3-latin-400-normal'));
  const bounds = (letter: string) => font.layout(letter).glyphs[0]?.bbox ?? failing();

  test.each(['4 mm', '6.35 mm', '11 mm'])(
    'at an x-height of %s, glyph bounds of a second library lie on the lines to 0.05 mm',
    async (spacing) => {
      const x = parseFloat(spacing);
      const job = onSheet({
        of: 'handwriting',
        spacing: x,
        gap: 10,
        words: 'xlp',
        letters: 'face',
        outer: 'face',
        form: 'solid',
        copies: 'once',
      });
      const [side] = (await openDesk(job, inMemory())).sides;
      const leaves = leavesOf(itemsOf(side?.drawing ?? failing()));
      const levels = leaves
        .flatMap((i) => (i.kind === 'path' ? i.path.flatMap((s) => (s[0] === 'M' ? [s[2]] : [])) : []))
        .sort((a, b) => a - b)
        .slice(0, 4);
      const glyphs = leaves.find((i) => i.kind === 'glyphs');
      if (glyphs?.kind !== 'glyphs') throw new Error('no letters');
      const scale = glyphs.size / font.unitsPerEm;
      const baseline = apply(glyphs.matrix, { x: 0, y: 0 }).y;
      const [ascender = 0, middle = 0, base = 0, descender = 0] = levels;
      expect(Math.abs(baseline - base)).toBeLessThan(0.05);
      expect(Math.abs(baseline - bounds('x').maxY * scale - middle)).toBeLessThan(0.05);
      // The uppermost line may lie wholly inside the box: half its weight lower.
      expect(Math.abs(baseline - bounds('l').maxY * scale - ascender)).toBeLessThan(0.12);
      expect(Math.abs(baseline - bounds('p').minY * scale - descender)).toBeLessThan(0.05);
    },
  );
});

describe('on paper', () => {
  test('lines that end on the trim run out into the bleed only when that is asked for', async () => {
    const reach = async (atTrim: 'bleeds' | 'stops') => {
      const job = onSheet({ of: 'lines', spacing: 7.1, head: 20, margin: 0 }, { atTrim });
      const [side] = (await openDesk(job, inMemory())).sides;
      const boxes = leavesOf(itemsOf(side?.drawing ?? failing())).flatMap((i) =>
        i.kind === 'path' ? [pathBounds(mapPath(i.path, i.matrix))] : [],
      );
      return [
        Math.min(...boxes.map((b) => b.x)),
        Math.max(...boxes.map((b) => b.x + b.width)),
        Math.max(...boxes.map((b) => b.y + b.height)),
      ];
    };
    expect(await reach('stops')).toEqual([0, 148, expect.closeTo(20 + 25 * 7.1, 6)]);
    expect(await reach('bleeds')).toEqual([-3, 151, expect.closeTo(20 + 25 * 7.1, 6)]);
  });

  test('another paper and back: the same drawing', async () => {
    const job = begun('checklist', { size: 'A5' });
    const drawn = async (j: Job) => (await openDesk(j, inMemory())).sides.map((s) => s.drawing.frames);
    const [piece] = job.pieces;
    const letter = { ...job, pieces: [redecided(piece ?? failing(), { size: { width: 139.7, height: 215.9 } })] };
    const before = await drawn(job);
    expect(await drawn(letter)).not.toEqual(before);
    expect(await drawn(job)).toEqual(before);
  });

  test('what finds no room is a fault that says which decision to change, and nothing is drawn of it', async () => {
    const job = onSheet({ of: 'lines', head: 209 });
    const desk = await openDesk(job, inMemory());
    const [side] = desk.sides;
    if (!side) failing();
    expect(side?.drawing.frames[0]?.items).toEqual([]);
    const [finding] = checkSurface(job, firstPiece(job), 'front', side?.drawing ?? failing(), {
      ...(side && { blank: side.blank }),
    }).filter((f) => f.rule === 'printable-room');
    expect(finding?.message).toMatch(/Head and foot leave/);
  });

  test('its words are in the press file as they stand on the page', async () => {
    const pdf = await pdfOf(
      begun('wall-month', { months: '1', pages: 'single', neighbours: 'hidden', holidays: 'GB' }),
    );
    await inFolder((folder) => {
      writeFileSync(join(folder, 'f.pdf'), pdf);
      const text = run('pdftotext', ['-f', '2', '-l', '2', join(folder, 'f.pdf'), '-']);
      expect(text).toContain('January 2027');
      expect(text).toMatch(/New Year.s Day/);
      for (let day = 1; day <= 31; day += 1) expect(text).toMatch(new RegExp(`(^|\\s)${day}(\\s|$)`));
    });
  });

  test('numbers on a base layout follow the pages when pages change places', async () => {
    const job = begun('bingo', {});
    const entry = galleryEntry('tickets');
    const started =
      entry && startPrintable(entry, { first: '1' }, { id: 'j', name: 'Tickets', unit: 'mm' }, {}, 'booklet');
    if (!started?.ok) throw new Error('no tickets');
    const desk = await openDesk(started.job, inMemory());
    const firsts = desk.sides.filter((s) => s.drawing.frames.length > 0).map((s) => wordsOn(s.drawing)[0]);
    expect(firsts.slice(0, 3)).toEqual(['No. 0001', 'No. 0011', 'No. 0021']);
    expect(job.pieces).toHaveLength(1);
  });
});

describe('desk sheets', () => {
  const pad = begun('checklist', { size: '5in x 7.5in', sections: 'To do: rest' }, 'in');

  test('the pad stands twice on a US letter, a piece apart, as poppler reads the file', async () => {
    const [file] = await exported(pad, 'desk');
    if (!file) failing();
    await inFolder((folder) => {
      const path = join(folder, 'desk.pdf');
      writeFileSync(path, file?.bytes ?? failing());
      const { MediaBox } = boxesOf(path, 1);
      expect([MediaBox[2], MediaBox[3]]).toEqual([expect.closeTo(792, 0), expect.closeTo(612, 0)]);
      const found = [...run('pdftotext', ['-bbox', path, '-']).matchAll(/xMin="([\d.]+)"[^>]*>To</g)].map((m) =>
        Number(m[1]),
      );
      expect(found).toHaveLength(2);
      expect((found[1] ?? 0) - (found[0] ?? 0)).toBeCloseTo(5 * 72, 1);
    });
  });

  test('sides in their order fill one sheet after another', async () => {
    const job = begun('bingo', {});
    const two = {
      ...job,
      output: {
        ...job.output,
        desk: {
          sheet: { width: 210, height: 297 },
          edge: 5,
          gap: 0,
          bleed: 0,
          fill: 'each' as const,
          marks: true,
          overlap: 10,
        },
      },
    };
    const [file] = await exported(two, 'desk');
    await inFolder((folder) => {
      writeFileSync(join(folder, 'd.pdf'), file?.bytes ?? failing());
      expect(run('pdfinfo', [join(folder, 'd.pdf')])).toMatch(/Pages:\s+1/);
    });
  });

  test('what is too large for the sheet is refused in words', async () => {
    await expect(exported(begun('year', { size: 'A2' }), 'desk')).rejects.toThrow(
      /larger than what the printer prints/,
    );
  });
});

const failing = (): never => {
  throw new Error('nothing there');
};

const firstPiece = (job: Job): Piece => job.pieces[0] ?? failing();

test('what is decided on one page of a run is decided for all; where a page decides for itself, for it alone', () => {
  const job = begun('wall-month', { year: '2027' });
  const piece = firstPiece(job);
  const onPage = (p: Piece, month: number) => elementsOn(p, `month ${month} grid`)[0] ?? failing();
  const set = (p: Piece, month: number, to: Record<string, unknown>) =>
    withDecisions(p, `month ${month} grid`, onPage(p, month).id, (content) => ({ ...content, ...to }));
  const yearOf = (p: Piece, month: number) => {
    const element = onPage(p, month);
    return element.kind === 'printable' ? element.content['year'] : undefined;
  };
  const all = set(piece, 5, { year: 2030 });
  expect([yearOf(all, 1), yearOf(all, 5), yearOf(all, 12)]).toEqual([2030, 2030, 2030]);
  expect(Object.values(all.layouts).every((l) => Object.keys(l.facts).length === 0)).toBe(true);
  const own = withSide(
    all,
    'month 3 grid',
    elementsOn(all, 'month 3 grid').map((e) =>
      e.kind === 'printable' ? { ...e, content: { ...e.content, year: 1999 } } : e,
    ),
  );
  const later = set(own, 3, { year: 2001 });
  expect([yearOf(later, 3), yearOf(later, 4)]).toEqual([2001, 2030]);
});

test('what differs from last year is said once, where it was decided', () => {
  const before = begun('wall-month', { year: '2027' });
  const after = begun('wall-month', { year: '2028' });
  expect(describeDifferences(before, after)).toEqual(['Wall calendar: Wall calendar has year 2028, not 2027']);
});

test('a tent calendar has half a year on each face, the front on its head', async () => {
  const desk = await openDesk(begun('tent', { year: '2027' }), inMemory());
  const frames = desk.sides[0]?.drawing.frames ?? [];
  expect(frames.map((f) => f.rotate)).toEqual([180, 0]);
  const months = frames.map((f) =>
    leavesOf(f.items)
      .flatMap((i) => (i.kind === 'glyphs' ? [i.glyphs.map((g) => g.text).join('')] : []))
      .filter((w) => /^[A-Z][a-z]{2,}/.test(w)),
  );
  expect(months).toEqual([
    ['January', 'February', 'March', 'April', 'May', 'June'],
    ['July', 'August', 'September', 'October', 'November', 'December'],
  ]);
});

test('A4 and US letter side by side from one definition: each worked out for its paper, changed together', async () => {
  const both = galleryEntry('log');
  const started = both && startPrintable(both, { also: 'letter' }, { id: 'j', name: 'Log', unit: 'mm' });
  if (!started?.ok) throw new Error('not begun');
  const desk = await openDesk(started.job, inMemory());
  expect(desk.sides.map((s) => s.surface.name)).toEqual(['front', 'letter front']);
  const rows = desk.sides.map((s) => s.drawing.frames[0]?.findings?.find((f) => f.id === 'count')?.value);
  // floor((277 − 9) ÷ 8) and floor((259.4 − 9) ÷ 8).
  expect(rows).toEqual([33, 31]);
  // Neither page is the second of a run.
  expect(wordsOn(desk.sides[1]?.drawing ?? failing())).toEqual(wordsOn(desk.sides[0]?.drawing ?? failing()));
});
