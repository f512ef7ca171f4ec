import fc from 'fast-check';
import { SANS, contextOf, linesOf, lookOf, setLooked, setWords, type Look } from '../../testing/type';
import { USUAL_LOOK, plainParagraphs, styleBook, type ListMark, type TypeFit } from '../element';
import {
  fitText,
  inkSpan,
  listMarks,
  loadHyphenator,
  plainBox,
  writeNumber,
  type ComposedText,
  type Line,
  type TextBox,
} from './index';

const PT = 25.4 / 72;
const PROSE =
  'Eyes need about twenty minutes to learn the dark and one headlamp to forget it. Please use red light ' +
  'only, and point it at the ground; the telescopes will find the rest of the sky for you, and the soup is ' +
  'kept warm until midnight.';
const LONG = Array.from({ length: 5 }, () => PROSE).join('\n');

/** All of the words, in order, whatever the lines. */
const wordsIn = (text: ComposedText) =>
  [...linesOf(text), ...text.hidden.map((l) => l.glyphs.map((g) => g.text).join(''))]
    .join(' ')
    .replace(/- /g, '')
    .replace(/\s+/g, ' ');

describe('whole paragraphs', () => {
  test('justified, its spaces vary less than line by line (Knuth and Plass, 1981)', async () => {
    const hyphenator = await loadHyphenator('en-GB');
    const usual = setWords('a b', 50).lines[0]?.glyphs.find((g) => g.text === ' ')?.advance ?? 0;
    /** How far spaces are from what they are by themselves, the larger the worse. */
    const spread = (breaking: 'paragraph' | 'line') =>
      [62, 68, 75, 81, 90].reduce((all, width) => {
        const text = setWords(PROSE, width, { align: 'justified', hyphenate: true, breaking }, 1000, hyphenator);
        const spaces = text.lines.slice(0, -1).map((l) => l.glyphs.find((g) => g.text === ' ')?.advance ?? usual);
        return all + spaces.reduce((sum, space) => sum + (space - usual) ** 2, 0);
      }, 0);
    expect(spread('paragraph')).toBeLessThan(spread('line'));
  });

  test('whatever the width, look and way of breaking, every word is there and no line is too wide', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 22, max: 160 }),
        fc.constantFrom('left', 'centre', 'right', 'justified'),
        fc.constantFrom('paragraph', 'line', 'balanced'),
        (width, align, breaking) => {
          const text = setWords(PROSE, width, { align, breaking });
          expect(wordsIn(text)).toBe(PROSE);
          for (const line of text.lines) expect(line.width).toBeLessThanOrEqual(width + 0.001);
        },
      ),
    );
  });

  test('even lines are about equally long, and no more of them', () => {
    const plain = setWords('The longest night of the year on the moor', 70, { breaking: 'line', sizePt: 20 });
    const even = setWords('The longest night of the year on the moor', 70, { breaking: 'balanced', sizePt: 20 });
    const range = (text: ComposedText) =>
      Math.max(...text.lines.map((l) => l.width)) - Math.min(...text.lines.map((l) => l.width));
    expect(even.lines.length).toBe(plain.lines.length);
    expect(range(even)).toBeLessThan(range(plain));
  });

  test('letters are spaced only as far as they may be, and only when words are not enough', () => {
    const justify = { wordLeast: 80, wordMost: 110, letterLeast: 0, letterMost: 2 };
    const plain = setWords(PROSE, 42, { align: 'justified', justify: { ...justify, letterMost: 0 } });
    const spaced = setWords(PROSE, 42, { align: 'justified', justify });
    const widest = (text: ComposedText) =>
      Math.max(...text.lines.slice(0, -1).map((l) => l.glyphs.find((g) => g.text === ' ')?.advance ?? 0));
    expect(widest(spaced)).toBeLessThan(widest(plain));
    for (const line of spaced.lines.slice(0, -1)) expect(line.width).toBeCloseTo(42, 5);
  });

  test('with an optical margin a point hangs past the edge, and the letters line up', () => {
    const [line] = setWords('Moor.', 40, { align: 'right', opticalMargin: true }).lines;
    const [plain] = setWords('Moor.', 40, { align: 'right' }).lines;
    const point = plain?.glyphs.at(-1)?.advance ?? 0;
    expect((line?.x ?? 0) - (plain?.x ?? 0)).toBeCloseTo(point * 0.7, 6);
  });

  test('a line ended by hand ends, and the paragraph goes on', () => {
    expect(linesOf(setWords('one\u2028two three', 100, { align: 'justified' }))).toEqual(['one', 'two three']);
  });
});

describe('room', () => {
  test('before and after are added between paragraphs, not at the head', () => {
    const text = setLooked(
      [
        ['one', { before: 5, after: 2 }],
        ['two', { before: 3 }],
      ],
      [plainBox(100, 100)],
    );
    const [one, two] = text.lines;
    expect(one?.baseline).toBeCloseTo(one?.ascent ?? 0, 9);
    expect((two?.baseline ?? 0) - (one?.baseline ?? 0)).toBeCloseTo(12 * 1.2 * PT + 5, 9);
  });

  test('indents count from the column, the first line’s from the others', () => {
    const text = setWords(PROSE, 60, { indent: 10, firstIndent: -4, indentRight: 5 });
    expect(text.lines.map((l) => Math.round(l.x * 1000) / 1000).slice(0, 3)).toEqual([6, 10, 10]);
    for (const line of text.lines) expect(line.x + line.width).toBeLessThanOrEqual(55.001);
  });

  test('a list hangs its sign out, its words stand at the indent; numbers count until something comes between', () => {
    const bullets: ListMark = { list: 'bullet', mark: '•' };
    const text = setWords(`${PROSE}\n${PROSE}`, 70, { list: bullets, indent: 5, firstIndent: -5 });
    const firsts = text.lines.filter((l, i) => text.lines[i - 1]?.paragraph !== l.paragraph);
    for (const line of firsts) {
      expect(line.glyphs[0]).toMatchObject({ text: '•', at: -1 });
      expect(line.left + (line.glyphs[0]?.x ?? 0)).toBeCloseTo(0, 6);
      expect(line.x).toBeCloseTo(5, 6);
    }
    const number: ListMark = { list: 'number', style: 'i', after: ')', start: null };
    expect(listMarks([number, number, bullets, number, null, number, { ...number, start: 9 }])).toEqual([
      'i)',
      'ii)',
      '•',
      'iii)',
      undefined,
      'i)',
      'ix)',
    ]);
  });

  test.each([
    [1994, 'i', 'mcmxciv'],
    [2026, 'I', 'MMXXVI'],
    [26, 'a', 'z'],
    [27, 'A', 'AA'],
    [703, 'a', 'aaa'],
    [0, 'i', '0'],
  ] as const)('%i in the style %s is %s', (n, style, written) => expect(writeNumber(n, style)).toBe(written));

  test('tabs stand where they were set: left, centred, right and on the decimal point, with leaders up to them', () => {
    const tabs = [
      { at: 20, align: 'left', leader: '' },
      { at: 50, align: 'centre', leader: '' },
      { at: 90, align: 'right', leader: '.' },
    ] as const;
    const [line] = setWords('a\tbb\tccc\tdddd', 100, { tabs: [...tabs] }).lines;
    const at = (letter: string) =>
      line?.glyphs.filter((g) => g.text === letter).map((g) => [g.x, g.x + g.advance]) ?? [];
    expect(at('b')[0]?.[0]).toBeCloseTo(20, 6);
    expect(((at('c')[0]?.[0] ?? 0) + (at('c').at(-1)?.[1] ?? 0)) / 2).toBeCloseTo(50, 6);
    expect(at('d').at(-1)?.[1]).toBeCloseTo(90, 6);
    const dots = line?.glyphs.filter((g) => g.at === -1) ?? [];
    expect(dots.length).toBeGreaterThan(10);
    for (const dot of dots) expect(dot.x).toBeGreaterThan(50);
    const decimal: Look = { tabs: [{ at: 60, align: 'decimal', leader: '' }] };
    const points = ['1.25', '31.5', '400'].map(
      (n) => setWords(`x\t${n}`, 100, decimal).lines[0]?.glyphs.find((g) => g.text === '.')?.x ?? 60,
    );
    for (const point of points) expect(point).toBeCloseTo(60, 6);
  });

  test('a dropped letter’s head is level with the capitals, its foot with the last of its lines', () => {
    const text = setWords(PROSE, 60, { dropCap: 3 });
    const [first, second, third, fourth] = text.lines;
    const drop = first?.glyphs[0];
    const font = SANS.files[0];
    const cap = (font?.facts.capHeight ?? 0) / (font?.unitsPerEm ?? 1);
    expect(drop?.text).toBe('E');
    expect((first?.baseline ?? 0) + (drop?.y ?? 0)).toBeCloseTo(third?.baseline ?? NaN, 6);
    expect((drop?.y ?? 0) - cap * (drop?.size ?? 0)).toBeCloseTo(-cap * 12 * PT, 6);
    expect(second?.x).toBeGreaterThan(5);
    expect(third?.x).toBeCloseTo(second?.x ?? NaN, 9);
    expect(fourth?.x).toBe(0);
    expect(wordsIn(text)).toBe(PROSE);
  });
});

describe('frames', () => {
  const columns = (count: number, height: number, more: Partial<TextBox> = {}): TextBox => ({
    ...plainBox(150, height),
    columns: count,
    columnGap: 6,
    ...more,
  });
  const inColumn = (line: Line, count: number) => Math.floor((line.left + 3) / ((150 + 6) / count));

  test('lines fill one column after another, and what finds no room is known', () => {
    const text = setLooked([[LONG, {}]], [columns(3, 60)]);
    const counts = [0, 1, 2].map((c) => text.lines.filter((l) => inColumn(l, 3) === c).length);
    expect(counts.every((n) => n > 5)).toBe(true);
    expect(text.hidden.length).toBeGreaterThan(0);
    expect(wordsIn(text)).toBe(LONG.replace(/\n/g, ' '));
  });

  test('level columns end within a line of each other', () => {
    const text = setLooked([[PROSE, { keepFirst: 1, keepLast: 1 }]], [columns(3, 200, { balance: true })]);
    const feet = [0, 1, 2].map((c) =>
      Math.max(...text.lines.filter((l) => inColumn(l, 3) === c).map((l) => l.baseline)),
    );
    expect(Math.max(...feet) - Math.min(...feet)).toBeLessThanOrEqual(12 * 1.2 * PT + 1e-6);
    expect(text.hidden).toEqual([]);
  });

  test('text flows from frame to frame, each as wide as it is', () => {
    const text = setLooked([[LONG, {}]], [plainBox(50, 40), plainBox(90, 40), plainBox(30, 400)]);
    expect(new Set(text.lines.map((l) => l.frame))).toEqual(new Set([0, 1, 2]));
    for (const line of text.lines) expect(line.width).toBeLessThanOrEqual([50, 90, 30][line.frame] ?? 0);
    expect(wordsIn(text)).toBe(LONG.replace(/\n/g, ' '));
    expect(text.hidden).toEqual([]);
  });

  test('no paragraph leaves fewer lines behind or takes fewer along than it should', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 25, max: 140 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 4 }),
        (height, keepFirst, keepLast) => {
          const text = setLooked(
            [[LONG, { keepFirst, keepLast }]],
            [plainBox(60, height), plainBox(60, height), plainBox(60, 2000)],
          );
          for (let p = 0; p < 5; p += 1) {
            const mine = text.lines.filter((l) => l.paragraph === p);
            const parts = [0, 1, 2].map((f) => mine.filter((l) => l.frame === f).length).filter((n) => n > 0);
            if (parts.length < 2 || mine.length < keepFirst + keepLast) continue;
            // A frame lower than what is kept together cannot hold it; then it is let go.
            if ((parts[0] ?? 0) * 14.4 * PT + 4 > height) continue;
            expect(parts[0]).toBeGreaterThanOrEqual(keepFirst);
            expect(parts.at(-1)).toBeGreaterThanOrEqual(keepLast);
          }
        },
      ),
    );
  });

  test('a heading never stands last in a frame', () => {
    for (let height = 30; height < 90; height += 1.3) {
      const text = setLooked(
        [
          [PROSE, {}],
          ['Heading', { keepWithNext: true, sizePt: 16 }],
          [PROSE, {}],
        ],
        [plainBox(60, height), plainBox(60, 1000)],
      );
      const heading = text.lines.find((l) => l.paragraph === 1);
      const after = text.lines.find((l) => l.paragraph === 2);
      expect(heading?.frame).toBe(after?.frame);
    }
  });

  test('text stands at the top, in the middle, at the foot, or spread by its paragraphs', () => {
    const last = (vertical: TextBox['vertical']) =>
      setLooked([['one\ntwo\nthree', {}]], [plainBox(60, 100, vertical)]).lines.map((l) => l.baseline);
    const [top, middle, bottom, spread] = (['top', 'middle', 'bottom', 'spread'] as const).map(last);
    const descent = setWords('x', 50).lines[0]?.descent ?? 0;
    expect(bottom?.at(-1)).toBeCloseTo(100 - descent, 6);
    expect((middle?.[0] ?? 0) - (top?.[0] ?? 0)).toBeCloseTo(((bottom?.[0] ?? 0) - (top?.[0] ?? 0)) / 2, 6);
    expect(spread?.[0]).toBeCloseTo(top?.[0] ?? NaN, 6);
    expect(spread?.at(-1)).toBeCloseTo(100 - descent, 6);
    expect((spread?.[1] ?? 0) * 2).toBeCloseTo((spread?.[0] ?? 0) + (spread?.[2] ?? 0), 6);
  });

  test('baselines on the grid stand on it, whatever the leading', () => {
    const grid = { first: 3, step: 14 * PT };
    const text = setLooked(
      [
        [PROSE, { onGrid: true, sizePt: 11 }],
        [PROSE, { onGrid: true, before: 2.7 }],
      ],
      [{ ...plainBox(60, 400), grid }],
    );
    for (const line of text.lines) {
      const steps = (line.baseline - grid.first) / grid.step;
      expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
    }
  });

  test('lines keep clear of what stands in their way', () => {
    const avoid = (top: number, bottom: number) => (bottom > 20 && top < 45 ? [[30, 80] as const] : []);
    const text = setLooked([[LONG, {}]], [{ ...plainBox(80, 300), avoid }]);
    const beside = text.lines.filter((l) => l.baseline + l.descent > 20 && l.baseline - l.ascent < 45);
    expect(beside.length).toBeGreaterThan(3);
    for (const line of beside) expect(line.x + line.width).toBeLessThanOrEqual(30.001);
    expect(wordsIn(text)).toBe(LONG.replace(/\n/g, ' '));
  });
});

describe('fitting', () => {
  const fitted = (text: string, box: TextBox, fit: TypeFit, look: Look = {}) =>
    fitText(
      plainParagraphs(text).map((paragraph) => ({ paragraph, look: lookOf(look) })),
      [box],
      fit,
      'en-GB',
      contextOf(),
    );

  test.each(['size', 'tracking', 'scale'] as const)('two names made equally long by %s, to 0.01 mm', (by) => {
    const { text, stretch } = fitted('Meteor night\nThe Perseids over Quillrook', plainBox(90, 200), {
      to: 'width',
      by,
    });
    expect(text.lines).toHaveLength(2);
    text.lines.forEach((line) => {
      const [left, right] = inkSpan(line, contextOf()) ?? [NaN, NaN];
      const wider = stretch?.[line.paragraph] ?? 1;
      expect(line.left + left * wider).toBeCloseTo(0, 2);
      expect(Math.abs((right - left) * wider - 90)).toBeLessThan(0.01);
    });
  });

  test('a frame that is a little too small is filled by reducing all sizes alike, but never below the limit', () => {
    const tight = fitted(PROSE, plainBox(60, 27), { to: 'frame', least: 70, most: 100 });
    const size = tight.text.lines[0]?.glyphs[0]?.size ?? 0;
    expect(tight.text.hidden).toEqual([]);
    expect(size).toBeLessThan(12 * PT);
    expect(size).toBeGreaterThan(12 * PT * 0.7);
    const tooMuch = fitted(LONG, plainBox(60, 30), { to: 'frame', least: 90, most: 100 });
    expect(tooMuch.text.hidden.length).toBeGreaterThan(0);
    expect(tooMuch.text.lines[0]?.glyphs[0]?.size).toBeCloseTo(12 * PT * 0.9, 6);
  });

  test('a headline is as large as it can be in so many lines: a hair larger takes one more', () => {
    for (const lines of [1, 2, 3]) {
      const { text } = fitted('The longest night of the year', plainBox(100, 200), { to: 'lines', lines });
      const size = (text.lines[0]?.glyphs[0]?.size ?? 0) / PT;
      expect(text.lines.length).toBeLessThanOrEqual(lines);
      expect(text.hidden).toEqual([]);
      const larger = setWords('The longest night of the year', 100, { sizePt: size * 1.002 }, 200);
      expect(larger.lines.length > lines || larger.lines.some((l) => l.width > 100)).toBe(true);
    }
  });
});

describe('letters', () => {
  test('small capitals that the font lacks are made of its capitals, and letters know where they were typed', () => {
    const [line] = setWords('Ab', 50, { case: 'small-caps' }).lines;
    const [large, small] = line?.glyphs ?? [];
    expect([large?.text, small?.text]).toEqual(['A', 'B']);
    expect((small?.size ?? 0) / (large?.size ?? 1)).toBeCloseTo(0.78, 9);
    expect(small?.at).toBe(1);
  });

  test('kerning can be switched off, tabular figures are all one width', () => {
    const width = (text: string, look: Look) => setWords(text, 100, look).lines[0]?.width ?? 0;
    expect(width('AVATAR To', { kerning: false })).toBeGreaterThan(width('AVATAR To', {}));
    const serif = contextOf();
    expect(serif.book.styles).toEqual([]);
    const tabular = ['1', '7', '0'].map(
      (d) => setWords(d, 50, { figureWidth: 'tabular' }).lines[0]?.glyphs[0]?.advance,
    );
    expect(new Set(tabular).size).toBe(1);
  });

  test('raised letters stand above the baseline, rules under the words that have them', () => {
    const paragraph = {
      runs: [
        { text: 'plain ' },
        { text: 'under', look: { underline: true } },
        { text: '2', look: { shiftPt: 4, sizePt: 7 } },
      ],
    };
    const [line] = setLooked([[paragraph, {}]], [plainBox(100, 20)]).lines;
    const under = line?.glyphs.filter((g) => g.look.underline) ?? [];
    expect(line?.rules).toHaveLength(1);
    expect(line?.rules[0]?.from).toBeCloseTo(under[0]?.x ?? NaN, 9);
    expect(line?.rules[0]?.to).toBeCloseTo((under.at(-1)?.x ?? 0) + (under.at(-1)?.advance ?? 0), 9);
    expect(line?.glyphs.at(-1)?.y).toBeCloseTo(-4 * PT, 9);
  });

  test('words of other sizes make a line of automatic leading higher', () => {
    const paragraph = { runs: [{ text: 'small ' }, { text: 'large', look: { sizePt: 30 } }] };
    const text = setLooked(
      [
        ['a', {}],
        [paragraph, {}],
      ],
      [plainBox(200, 100)],
    );
    expect((text.lines[1]?.baseline ?? 0) - (text.lines[0]?.baseline ?? 0)).toBeCloseTo(36 * PT, 6);
  });
});

test('a style that is based on another has what that says, and what itself says instead', () => {
  const book = styleBook({
    styles: [
      { of: 'paragraph', id: 'body', name: 'Body', basedOn: null, next: null, look: { sizePt: 9, family: 'Lora' } },
      { of: 'paragraph', id: 'lead', name: 'Lead', basedOn: 'body', next: null, look: { sizePt: 12 } },
      { of: 'paragraph', id: 'loop', name: 'Loop', basedOn: 'loop', next: null, look: { italic: true } },
      { of: 'character', id: 'strong', name: 'Strong', basedOn: null, look: { weight: 700 } },
    ],
  });
  expect(book.style('lead')).toEqual({ ...USUAL_LOOK, family: 'Lora', sizePt: 12 });
  expect(book.style('lead')).toBe(book.style('lead'));
  expect(book.style('loop').italic).toBe(true);
  expect(book.style('nowhere')).toBe(USUAL_LOOK);
  const text = { style: 'lead', look: { sizePt: 14 } };
  const paragraph = { runs: [{ text: 'a', style: 'strong', look: { italic: true } }] };
  const within = book.paragraph(text, paragraph);
  expect(within).toMatchObject({ family: 'Lora', sizePt: 14, weight: 400 });
  expect(book.run(within, paragraph.runs[0] ?? { text: '' })).toMatchObject({ weight: 700, italic: true, sizePt: 14 });
  // A paragraph with a style of its own has nothing of what the text says beside its style.
  expect(book.paragraph(text, { ...paragraph, style: 'body' })).toMatchObject({ sizePt: 9 });
});
