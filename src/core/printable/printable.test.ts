import fc from 'fast-check';
import { getDaysInMonth } from 'date-fns';
import { pathBounds } from '../geometry';
import { civilOf, writeDay } from '../dates';
import { Impossible, readTyped, withUsual } from '../parameter';
import { GALLERY, PRINTABLES, printableOf, type Box, type Lettering, type Mark, type PrintableContext } from './index';
import { STROKED, strokedLetter } from './letter-strokes';
import { readLineStyles, writeLineStyles } from './line-styles';
import { readList } from './read-list';
import { rhythm } from './rhythm';
import { shuffled } from './shuffled';

/** Letters half an em wide, as one would draw them on squared paper. */
const LETTERS: Lettering = {
  xHeight: 0.5,
  capHeight: 0.7,
  ascender: 0.75,
  descender: 0.2,
  width: (t) => t.length * 0.5,
};

const at = (more: Partial<PrintableContext> = {}): PrintableContext => ({
  unit: 'mm',
  write: (mm) => `${Math.round(mm * 1000) / 1000} mm`,
  language: 'en-GB',
  turn: { index: 0, isLeft: false },
  lettering: () => LETTERS,
  holidays: () => [],
  ...more,
});

/** A kind solved in a box from what is typed. */
function solved(kind: string, typed: Readonly<Record<string, string>>, box: Box, more: Partial<PrintableContext> = {}) {
  const printable = printableOf(kind);
  const read = readTyped(printable.parameters, typed, { unit: 'mm', ppi: 300 }, kind);
  if (!read.ok) throw new Error(`${read.parameter}: ${read.error.message}`);
  return printable.solve(withUsual(printable.parameters, read.values, 'metric'), box, at(more));
}

const value = (result: ReturnType<typeof solved>, id: string): number => {
  const found = result.findings.find((f) => f.id === id);
  if (!found) throw new Error(`no ${id} among ${result.findings.map((f) => f.id).join()}`);
  return found.value;
};

const A4: Box = { width: 210, height: 297 };
const LETTER: Box = { width: 215.9, height: 279.4 };
const textOf = (marks: readonly Mark[]) => marks.flatMap((m) => (m.kind === 'words' ? [m.text] : []));

describe('figures of the trade (common practice)', () => {
  test('A4 with a head of 20 mm carries 39 lines at 7.1 mm, and none stands on the edge', () => {
    const sheet = solved('lines', { head: '20 mm', spacing: '7.1 mm', margin: '0 mm', set: 'solid 0.5pt' }, A4);
    expect(value(sheet, 'count')).toBe(39);
    const levels = sheet.marks.flatMap((m) => (m.kind === 'line' ? [m.from.y] : []));
    expect(levels[0]).toBeCloseTo(20, 9);
    expect(levels.at(-1)).toBeCloseTo(20 + 38 * 7.1, 9);
    expect(297 - (levels.at(-1) ?? 0)).toBeGreaterThanOrEqual(7.1);
  });

  test('eight four-line sets at 0.25 in with 0.375 in between are 8.625 in high', () => {
    const sheet = solved(
      'handwriting',
      { spacing: '0.25 in', gap: '0.375 in', fit: 'count', count: '8', words: '' },
      { width: 180, height: 8.625 * 25.4 },
    );
    expect(value(sheet, 'count')).toBe(8);
    expect(value(sheet, 'rest')).toBeCloseTo(0, 6);
    expect(value(sheet, 'pitch')).toBeCloseTo(1.125 * 25.4, 6);
    // One tenth of a millimetre lower, and there is room for seven.
    const lower = solved(
      'handwriting',
      { spacing: '0.25 in', gap: '0.375 in', words: '' },
      { width: 180, height: 8.625 * 25.4 - 0.1 },
    );
    expect(value(lower, 'count')).toBe(7);
  });

  test('six week rows of 23.7 mm stand below a weekday row of 10.8 mm in 153 mm', () => {
    const grid = solved(
      'month',
      { year: '2027', title: 'none', rows: 'six', weekday: '10.8 mm' },
      { width: 277, height: 153 },
    );
    expect(value(grid, 'row')).toBeCloseTo(23.7, 9);
  });
});

describe('rhythm', () => {
  const lengths = fc.record({
    height: fc.double({ min: 50, max: 600, noNaN: true }),
    head: fc.double({ min: 0, max: 20, noNaN: true }),
    set: fc.double({ min: 0, max: 12, noNaN: true }),
    gap: fc.double({ min: 0.5, max: 12, noNaN: true }),
    foot: fc.option(fc.double({ min: 0, max: 5, noNaN: true }), { nil: undefined }),
    gives: fc.constantFrom('set' as const, 'gap' as const),
  });

  test('count × pitch and the rest are the height, whichever way it is fitted', () => {
    fc.assert(
      fc.property(lengths, fc.constantFrom('keep' as const, 'fill' as const), (l, fit) => {
        const found = rhythm({ what: 'line', ...l, fit, count: undefined }, at());
        const below = l.foot === undefined ? found.gap : l.foot;
        const height = l.head + found.count * found.set + (found.count - 1) * found.gap + below + found.rest;
        expect(height).toBeCloseTo(l.height, 5);
        if (fit === 'fill' && (found.count > 1 || l.gives === 'set' || l.foot === undefined))
          expect(found.rest).toBeCloseTo(0, 5);
        if (fit === 'keep') expect(found.rest).toBeLessThan(l.set + l.gap + 1e-6);
      }),
    );
  });

  test('the formula it states is the one it follows', () => {
    fc.assert(
      fc.property(lengths, (l) => {
        const { count } = rhythm({ what: 'line', ...l, fit: 'keep', count: undefined }, at());
        const foot = l.foot ?? l.gap;
        expect(count).toBe(Math.floor((l.height - l.head - foot + l.gap + 1e-6) / (l.set + l.gap)));
      }),
    );
  });

  test('what cannot be says which decision to change', () => {
    const bare = {
      what: 'line',
      height: 100,
      head: 0,
      foot: undefined,
      set: 0,
      gap: 7,
      fit: 'keep',
      count: undefined,
      gives: 'gap',
    } as const;
    expect(() => rhythm({ ...bare, head: 99 }, at())).toThrow(/Head and foot leave/);
    expect(() => rhythm({ ...bare, gap: 0 }, at())).toThrow(Impossible);
    expect(() => rhythm({ ...bare, set: 20, gap: 5, fit: 'count', count: 9 }, at())).toThrow(/9 of 20 mm are higher/);
  });
});

/** How far a mark reaches past its box, mm; words by their point and their length. */
function past(mark: Mark, box: Box): number {
  const over = (x: number, y: number) => Math.max(-x, x - box.width, -y, y - box.height, 0);
  if (mark.kind === 'line') return Math.max(over(mark.from.x, mark.from.y), over(mark.to.x, mark.to.y));
  if (mark.kind === 'shape') {
    const b = pathBounds(mark.path);
    return Math.max(over(b.x, b.y), over(b.x + b.width, b.y + b.height));
  }
  if (mark.turn !== undefined) return over(mark.at.x, mark.at.y);
  const length = LETTERS.width(mark.text) * mark.size;
  const left = mark.at.x - (mark.align === 'left' ? 0 : mark.align === 'right' ? length : length / 2);
  return Math.max(over(left, mark.at.y - mark.size * LETTERS.capHeight), over(left + length, mark.at.y));
}

describe('every entry of the gallery', () => {
  const solve = (id: string, box: Box, more: Partial<PrintableContext> = {}) => {
    const entry = GALLERY.find((e) => e.id === id);
    if (!entry) throw new Error(id);
    return solved(entry.of.kind, entry.decisions, box, more);
  };

  test.each(GALLERY.map((e) => e.id))('%s: nothing lies outside its box, on A4, letter and small paper', (id) => {
    // Letters with their strokes are 161 mm long, and say so on a smaller paper.
    const small = id === 'letters' ? [] : [{ width: 138, height: 200 }];
    for (const box of [
      { width: 190, height: 277 },
      { width: 195.9, height: 259.4 },
      { width: 277, height: 165 },
      ...small,
    ]) {
      const { marks, tracks } = solve(id, box);
      expect(marks.length).toBeGreaterThan(0);
      expect(marks.filter((m) => past(m, box) > 0.25)).toEqual([]);
      for (const { start, size } of tracks?.columns ?? []) expect(start + size).toBeLessThanOrEqual(box.width + 1e-6);
      for (const { start, size } of tracks?.rows ?? []) expect(start + size).toBeLessThanOrEqual(box.height + 1e-6);
    }
  });

  test.each(GALLERY.map((e) => e.id))('%s: another paper and back gives the same marks', (id) => {
    const before = solve(id, A4);
    expect(solve(id, LETTER)).not.toEqual(before);
    expect(solve(id, A4)).toEqual(before);
  });

  test('every figure has its working and its rule', () => {
    for (const { id } of GALLERY)
      for (const finding of solve(id, A4).findings) {
        expect([id, finding.id, finding.working.join('').length > 3, finding.rule.length > 3]).toEqual([
          id,
          finding.id,
          true,
          true,
        ]);
        expect(Number.isFinite(finding.value)).toBe(true);
      }
  });

  test('ids, titles and decisions are their own', () => {
    expect(new Set(GALLERY.map((e) => e.id)).size).toBe(GALLERY.length);
    expect(new Set(GALLERY.map((e) => e.title)).size).toBe(GALLERY.length);
    for (const p of PRINTABLES) {
      const labels = Object.values(p.parameters).map((q) => q.label);
      expect(labels).toEqual([...new Set(labels)]);
    }
  });

  test('a box too small is refused by name, never drawn wrongly', () => {
    for (const { id, of } of GALLERY) {
      try {
        const box = { width: 14, height: 14 };
        const wrong = solve(id, box).marks.filter((m) => past(m, box) > 0.6);
        expect([id, wrong]).toEqual([id, []]);
      } catch (error) {
        if (!(error instanceof Impossible)) throw error;
        expect(Object.keys(of.parameters)).toContain(error.parameter);
      }
    }
  });
});

describe('calendars', () => {
  test('a month to a page: every month of 1900 to 2100 has the days that the reference library gives it', () => {
    for (let year = 1900; year <= 2100; year += 1) {
      for (let index = 0; index < 12; index += 1) {
        const { days } = solved('month', { year: String(year) }, A4, { turn: { index, isLeft: false } });
        const length = getDaysInMonth(new Date(year, index, 15));
        expect(days?.map((d) => civilOf(d).day)).toEqual(Array.from({ length }, (_, i) => i + 1));
        expect(civilOf(days?.[0] ?? 0)).toEqual({ year, month: index + 1, day: 1 });
      }
    }
  });

  test('pages go on over the turn of a year', () => {
    const { days } = solved('month', { year: '2027', month: '9' }, A4, { turn: { index: 5, isLeft: false } });
    expect(writeDay(days?.[0] ?? 0)).toBe('2028-02-01');
  });

  test('the first of a month stands in the column of its weekday, wherever weeks begin', () => {
    for (const [start, column] of [
      ['monday', 4],
      ['sunday', 5],
      ['saturday', 6],
    ] as const) {
      const { marks, tracks } = solved(
        'month',
        { year: '2027', neighbours: 'hidden', 'week-start': start, title: 'none' },
        A4,
      );
      const one = marks.find((m) => m.kind === 'words' && m.text === '1');
      const cell = tracks?.columns[column];
      if (one?.kind !== 'words' || !cell) throw new Error('no day');
      expect(one.at.x).toBeGreaterThan(cell.start);
      expect(one.at.x).toBeLessThan(cell.start + cell.size);
    }
  });

  test('five rows hold a month of six weeks: the sixth shares the boxes of the fifth', () => {
    // August 2027 begins on a Sunday and takes six weeks from Monday.
    const { marks, days } = solved('month', { year: '2027', month: '8', rows: 'five', neighbours: 'hidden' }, A4);
    expect(textOf(marks)).toContain('23/30');
    expect(textOf(marks)).toContain('24/31');
    expect(days).toHaveLength(31);
    expect(textOf(solved('month', { year: '2027', month: '8', rows: 'needed' }, A4).marks)).toContain('30');
  });

  test('the sizes of names are those of the longest month', () => {
    const sizes = Array.from({ length: 12 }, (_, index) => {
      const title = solved(
        'month',
        { year: '2027' },
        { width: 60, height: 200 },
        { turn: { index, isLeft: false } },
      ).marks.find((m) => m.kind === 'words' && m.text.includes('2027'));
      return title?.kind === 'words' ? title.size : 0;
    });
    expect(new Set(sizes).size).toBe(1);
  });

  test('week numbers by ISO 8601 and as in the United States', () => {
    const numbers = (weeks: string, start: string) => {
      const { marks } = solved(
        'month',
        { year: '2027', weeks, 'week-start': start, neighbours: 'hidden', names: 'none', title: 'none' },
        A4,
      );
      return marks.flatMap((m) => (m.kind === 'words' && m.align === 'right' ? [m.text] : []));
    };
    expect(numbers('iso', 'monday')).toEqual(['53', '1', '2', '3', '4']);
    expect(numbers('us', 'sunday')).toEqual(['1', '2', '3', '4', '5', '6']);
  });

  test('holidays and own days stand in their boxes; what is too long is cut', () => {
    const { marks } = solved(
      'month',
      { year: '2027', holidays: 'GB', events: '2027-01-14 Open night|01-20 Founders' },
      A4,
      { holidays: (_, year) => (year === 2027 ? [{ day: 20_819, name: 'New Year' }] : []) },
    );
    expect(textOf(marks).join(' ')).toMatch(/New Year/);
    expect(textOf(marks).join(' ')).toMatch(/Open night/);
    expect(textOf(marks).join(' ')).toMatch(/Founders/);
  });

  test('names that are cut are said, and those that fit are not', () => {
    const of = (name: string) =>
      solved('month', { year: '2027', events: `2027-01-14 ${name}` }, { width: 190, height: 160 }).left;
    expect(of('Open night')).toBeUndefined();
    expect(
      of('The general assembly of all volunteers, with soup, elections, a lecture and the long walk home')?.[0],
    ).toMatch(/No room for all of “The general/);
  });

  test('a year at a glance has 365 days, or 366', () => {
    expect(value(solved('year', { year: '2027' }, A4), 'days')).toBe(365);
    expect(value(solved('year', { year: '2028' }, A4), 'days')).toBe(366);
  });
});

describe('planners', () => {
  const week = (index: number, isLeft: boolean) =>
    solved(
      'week',
      { from: '2027-01-04', head: '10 mm' },
      { width: 138, height: 190 },
      { turn: { index, isLeft } },
    ).days?.map(writeDay);

  test('a week on a spread: three days at the left, four at the right, week after week', () => {
    expect(week(0, true)).toEqual(['2027-01-04', '2027-01-05', '2027-01-06']);
    expect(week(1, false)).toEqual(['2027-01-07', '2027-01-08', '2027-01-09', '2027-01-10']);
    expect(week(2, true)?.[0]).toBe('2027-01-11');
  });

  test('a first right-hand page has the second half of the first week', () => {
    expect(week(0, false)?.[0]).toBe('2027-01-07');
    expect(week(1, true)?.[0]).toBe('2027-01-11');
  });

  test('the binding side is kept free at the spine', () => {
    const reach = (isLeft: boolean) => {
      const { marks } = solved(
        'week',
        { from: '2027-01-04', inner: '8 mm' },
        { width: 138, height: 190 },
        { turn: { index: isLeft ? 0 : 1, isLeft } },
      );
      const xs = marks.flatMap((m) => (m.kind === 'line' ? [m.from.x, m.to.x] : []));
      return [Math.min(...xs), Math.max(...xs)];
    };
    expect(reach(true)).toEqual([0, 130]);
    expect(reach(false)).toEqual([8, 138]);
  });

  test('a day to a page runs through a leap year without a gap', () => {
    const days = Array.from(
      { length: 366 },
      (_, index) =>
        solved('day', { from: '2028-01-01' }, { width: 128, height: 190 }, { turn: { index, isLeft: index % 2 === 0 } })
          .days?.[0] ?? 0,
    );
    expect(writeDay(days[59] ?? 0)).toBe('2028-02-29');
    expect(writeDay(days[365] ?? 0)).toBe('2028-12-31');
    expect(days.every((d, i) => i === 0 || d - (days[i - 1] ?? 0) === 1)).toBe(true);
  });

  test('undated, no date stands there', () => {
    expect(textOf(solved('day', { from: '' }, A4).marks).join(' ')).not.toMatch(/20\d\d/);
  });
});

describe('lists and forms', () => {
  test('sections have the rows they ask for, the last takes the rest', () => {
    const list = solved(
      'list',
      { sections: 'Must be done: 5|If there is time: rest', row: '8 mm', heading: '9 mm' },
      { width: 128, height: 190 },
    );
    const [must, rest] = [value(list, 'section-1'), value(list, 'section-2')];
    expect(must).toBe(5);
    expect(must + rest).toBe(Math.floor((190 - 2 * 9) / 8));
    expect(list.marks.filter((m) => m.kind === 'line')).toHaveLength(must + rest);
    expect(() => solved('list', { sections: 'All: 99' }, { width: 128, height: 190 })).toThrow(
      /99 rows are asked for and \d+ fit/,
    );
    expect(readList('A: 900')).toMatchObject({ ok: false });
  });

  test('a list by the clock has its times beside the rows', () => {
    const times = textOf(
      solved(
        'list',
        { sections: '', side: 'times', row: '10 mm', 'first-time': '21', minutes: '30' },
        { width: 128, height: 40 },
      ).marks,
    );
    expect(times).toEqual(['21:00', '21:30', '22:00', '22:30']);
  });

  test('columns with a width have it, the others share the rest', () => {
    const { tracks } = solved('log-table', { columns: 'Time = 20 mm|Object|Notes' }, { width: 180, height: 200 });
    expect(tracks?.columns.map((c) => c.size)).toEqual([20, 80, 80]);
    expect(() => solved('log-table', { columns: 'Time = 200 mm|Object' }, { width: 180, height: 200 })).toThrow(
      /The widths take/,
    );
    expect(() => solved('log-table', { columns: 'Time = soon' }, A4)).toThrow(/columns/);
  });

  test('tickets count on from page to page', () => {
    const numbers = (index: number) =>
      textOf(
        solved('tickets', { first: '1', digits: '3' }, { width: 190, height: 277 }, { turn: { index, isLeft: false } })
          .marks,
      ).filter((t) => t.startsWith('No. '));
    expect(numbers(0).slice(0, 2)).toEqual(['No. 001', 'No. 001']);
    expect(numbers(2).at(-1)).toBe('No. 030');
  });

  test('cards of a series differ, and each is the same again', () => {
    const card = (index: number) => textOf(solved('bingo', {}, A4, { turn: { index, isLeft: false } }).marks).join();
    expect(card(0)).toBe(card(0));
    expect(new Set(Array.from({ length: 30 }, (_, i) => card(i))).size).toBe(30);
    const columns = solved('bingo', {}, A4).marks.flatMap((m) =>
      m.kind === 'words' && /^\d+$/.test(m.text) ? [Number(m.text)] : [],
    );
    expect(columns).toHaveLength(24);
    expect(new Set(columns).size).toBe(24);
  });

  test('shuffling loses nothing and depends on its seed alone', () => {
    fc.assert(
      fc.property(fc.array(fc.integer()), fc.nat(), (list, seed) => {
        expect([...shuffled(list, seed)].sort()).toEqual([...list].sort());
        expect(shuffled(list, seed)).toEqual(shuffled(list, seed));
      }),
    );
  });
});

describe('line styles', () => {
  test('are written as they are read', () => {
    for (const [typed, written] of [
      ['solid', 'solid 0.5pt'],
      ['2 x dashed 0.3pt pale, solid', '2x dashed 0.3pt pale, solid 0.5pt'],
      ['DOTTED accent 1pt', 'dotted 1pt accent'],
      ['solid, solid, solid', '3x solid 0.5pt'],
    ] as const) {
      const read = readLineStyles(typed);
      expect(read.ok && writeLineStyles(read.value)).toBe(written);
    }
  });

  test('what is no style says what one is', () => {
    const wavy = readLineStyles('wavy');
    expect(wavy.ok ? '' : wavy.message).toMatch(/“wavy”/);
    expect(readLineStyles('solid,,')).toMatchObject({ ok: false });
    expect(readLineStyles('99x solid')).toMatchObject({ ok: false, message: 'A set has at most 24 lines.' });
  });
});

describe('letters in strokes', () => {
  test('there are all of the alphabet and the figures, each within its lines', () => {
    expect(STROKED.join('')).toHaveLength(62);
    for (const character of STROKED) {
      const letter = strokedLetter(character);
      if (!letter) throw new Error(character);
      for (const stroke of letter.strokes) {
        expect(stroke[0]?.[0]).toBe('M');
        const { x, y, width, height } = pathBounds(stroke);
        expect([character, x > -0.02, x + width < letter.width + 0.02, y > -1.02, y + height < 2.02]).toEqual([
          character,
          true,
          true,
          true,
          true,
        ]);
      }
      const whole = letter.strokes.map(pathBounds);
      const top = Math.max(...whole.map((b) => b.y + b.height));
      const foot = Math.min(...whole.map((b) => b.y));
      // Small letters reach the x-height or the ascender, and stand on the baseline or reach the descender.
      if (/[A-Z0-9bdfhkl]/.test(character)) expect([character, Math.abs(top - 2) < 0.02]).toEqual([character, true]);
      if (/[acegmnopqrsuvwxyz]/.test(character))
        expect([character, Math.abs(top - 1) < 0.02]).toEqual([character, true]);
      expect([character, Math.abs(foot - (/[gjpqy]/.test(character) ? -1 : 0)) < 0.02]).toEqual([character, true]);
    }
  });

  test('words are traced as often as they fit, with fewer dots at each copy', () => {
    const { marks } = solved(
      'handwriting',
      { words: 'l', copies: 'fill', fade: 'along', form: 'dotted', spacing: '5 mm' },
      { width: 60, height: 40 },
    );
    const strokes = marks.flatMap((m) => (m.kind === 'shape' && m.stroke ? [m.stroke] : []));
    expect(strokes.length).toBeGreaterThan(3);
    expect(strokes[0]?.dash).toBe('solid');
    const gaps = strokes.slice(1).map((s) => s.sparse ?? 0);
    expect(gaps).toEqual([...gaps].sort((a, b) => a - b));
    expect(() => solved('handwriting', { words: 'naïve' }, A4)).toThrow(/no strokes for/);
    expect(() => solved('handwriting', { words: 'Mercury', spacing: '40 mm' }, { width: 80, height: 200 })).toThrow(
      /long, the row/,
    );
  });
});
