import fc from 'fast-check';
import * as fontkit from 'fontkit';
import { createFontSet, openFont } from '../../bring-in/font';
import type { ParagraphLook } from '../element';
import { SANS, fontBytes, linesOf, lookOf, setWords, shippedFace, type Look } from '../../testing/type';
import {
  SHIPPED_FACES,
  caretAt,
  hiddenText,
  indexAt,
  leadingOf,
  loadHyphenator,
  type ComposedText,
  type Hyphenator,
} from './index';

/** Plain words, set line by line. */
const set = (text: string, width: number, look: Look = {}, height = 1000, hyphenator?: Hyphenator): ComposedText =>
  setWords(text, width, { breaking: 'line', ...look }, height, hyphenator);
const textOf = linesOf;
const prose = 'Eyes need about twenty minutes to learn the dark and one headlamp to forget it.';

describe('against a second shaping library (fontkit): the same advances for every shipped face', () => {
  const sample = 'Quillrook Tavern, AV/To. 1234: fifty fjords & “Waltz”';
  test.each(SHIPPED_FACES.map((f) => [f.postscript, f] as const))('%s', (_name, shipped) => {
    const [key] = shipped.files;
    if (!key) throw new Error('no file');
    const theirs = fontkit
      .create(fontBytes(key))
      .layout(sample)
      .positions.reduce((sum, p) => sum + p.xAdvance, 0);
    const ours = openFont(key, fontBytes(key))
      .shape(sample, 'en', [])
      .reduce((sum, g) => sum + g.advance, 0);
    expect(Math.abs(ours - theirs)).toBeLessThanOrEqual(1);
  });
});

describe('breaking lines', () => {
  test('every line fits, and all of the words are there in order', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 25, max: 120 }),
        fc.constantFrom<ParagraphLook['align']>('left', 'centre', 'right', 'justified'),
        (width, align) => {
          const text = set(prose, width, { align });
          for (const line of text.lines) {
            expect(line.width).toBeLessThanOrEqual(width + 0.001);
            expect(line.x).toBeGreaterThanOrEqual(-0.001);
          }
          expect(textOf(text).join(' ').replace(/\s+/g, ' ')).toBe(prose);
        },
      ),
    );
  });

  test('a line takes as many words as fit (greedy)', () => {
    const text = set(prose, 60);
    const [first = '', second = ''] = textOf(text);
    const word = second.split(' ')[0] ?? '';
    const [longer] = set(`${first} ${word}`, 1000).lines;
    expect(longer?.width).toBeGreaterThan(60);
  });

  test('justified lines end at the edge, the last one does not', () => {
    const text = set(prose, 60, { align: 'justified' });
    const ends = text.lines.map((l) => l.width);
    for (const end of ends.slice(0, -1)) expect(end).toBeCloseTo(60, 6);
    expect(ends.at(-1)).toBeLessThan(60);
  });

  test('breaks where Unicode allows (UAX 14): after a hyphen and a slash, not within a number', () => {
    expect(textOf(set('well-known', 14))).toEqual(['well-', 'known']);
    expect(textOf(set('aaa bbb.', 7))[0]).toBe('aaa');
  });

  test('a word wider than the line is broken where the line is full, and never for ever', () => {
    const text = set('Llanfairpwllgwyngyllgogerychwyrndrobwllllantysiliogogogoch', 20);
    expect(text.lines.length).toBeGreaterThan(2);
    expect(textOf(text).join('')).toBe('Llanfairpwllgwyngyllgogerychwyrndrobwllllantysiliogogogoch');
    expect(textOf(set('ab', 0.01))).toEqual(['a', 'b']);
  });

  test.each([
    // Samples of Unicode’s GraphemeBreakTest (UAX 29), from memory.
    ['letters with accents of their own', ['g\u0308', 'e\u0301\u0323', 'x\u0302']],
    ['two flags', ['🇬🇧', '🇨🇭']],
    ['a family of three, and a hand', ['👩\u200d👧\u200d👦', '🖐🏽']],
    ['syllables of Hangul in parts', ['\u1112\u1161\u11ab', '\u1100\u1173\u11af']],
    ['letters with four hundred accents each', Array.from({ length: 40 }, () => `a${'\u0301'.repeat(400)}`)],
  ])('a word that must be broken is broken between what a reader takes for letters: %s', (_what, letters) => {
    const lines = textOf(set(letters.join(''), 0.01));
    expect(lines.join('')).toBe(letters.join(''));
    for (const line of lines) expect(letters).toContain(line);
  });

  test('hyphenates by the language, with its own breaks', async () => {
    const english = await loadHyphenator('en-GB');
    const german = await loadHyphenator('de');
    expect(english?.('observatory').join('-')).toBe('ob-ser-vat-ory');
    // Duden: Stern-war-te; patterns of the TeX users’ groups.
    expect(german?.('Sternwarte')[0]).toBe('Stern');
    const text = set('observatory observatory', 19, { hyphenate: true }, 1000, english);
    expect(textOf(text).some((l) => l.endsWith('-'))).toBe(true);
    expect(await loadHyphenator('xx')).toBeUndefined();
  });

  test('paragraphs part at line feeds, also empty ones', () => {
    expect(textOf(set('one\n\ntwo', 100))).toEqual(['one', '', 'two']);
  });
});

describe('measures of set type', () => {
  test('lines stand a leading apart: 120 % of the size where none is given [cp]', () => {
    const text = set('a\nb', 100, { sizePt: 10 });
    expect(leadingOf(lookOf({ sizePt: 10 }))).toBe(12);
    expect((text.lines[1]?.baseline ?? 0) - (text.lines[0]?.baseline ?? 0)).toBeCloseTo(12 * (25.4 / 72), 9);
  });
  test('tracking adds thousandths of the size after each letter but the last', () => {
    const plain = set('moon', 100).lines[0]?.width ?? 0;
    const tracked = set('moon', 100, { tracking: 100 }).lines[0]?.width ?? 0;
    expect(tracked - plain).toBeCloseTo(3 * 0.1 * 12 * (25.4 / 72), 6);
  });
  test('centred and right lines leave the slack where they should', () => {
    const width = set('moon', 100).lines[0]?.width ?? 0;
    expect(set('moon', 100, { align: 'centre' }).lines[0]?.x).toBeCloseTo((100 - width) / 2, 9);
    expect(set('moon', 100, { align: 'right' }).lines[0]?.x).toBeCloseTo(100 - width, 9);
  });
  test('case changes by the language, and each letter still knows where it was typed', () => {
    const text = set('straße', 100, { case: 'upper' });
    expect(textOf(text)).toEqual(['STRASSE']);
    expect(text.lines[0]?.glyphs.map((g) => g.at)).toEqual([0, 1, 2, 3, 4, 4, 5]);
    expect(textOf(set('the dark field', 100, { case: 'title' }))).toEqual(['The Dark Field']);
  });
  test('letters of the second file of a face are set from it', () => {
    const text = set('Łódź', 100);
    expect(new Set(text.lines[0]?.glyphs.map((g) => g.font)).size).toBe(2);
    expect(text.lines[0]?.glyphs.every((g) => g.gid !== 0)).toBe(true);
  });
});

describe('overflow', () => {
  test('knows the hidden words, and the height that would show them', () => {
    const typed = 'one two three four five six';
    const text = set(typed, 14, {}, 11);
    const { words, text: hidden } = hiddenText(typed, text);
    expect(words).toBeGreaterThan(0);
    expect(typed.endsWith(hidden)).toBe(true);
    expect(hiddenText(typed, set(typed, 14, {}, text.needs)).words).toBe(0);
    expect(hiddenText(typed, set(typed, 14, {}, text.needs - 0.01)).words).toBeGreaterThan(0);
  });
});

describe('the caret', () => {
  test('stands before, between and after the letters, and a point finds it again', () => {
    const text = set('moon and stars\nover the moor', 30);
    for (let i = 0; i <= 'moon and stars\nover the moor'.length; i += 1) {
      const place = caretAt(text, i);
      expect(place.x).toBeGreaterThanOrEqual(0);
      const found = indexAt(text, 0, place.x, place.top + place.height / 2);
      expect(Math.abs(found - i)).toBeLessThanOrEqual(1);
    }
    expect(caretAt(text, 0).x).toBe(0);
  });
});

test('the nearest weight of the right slope is chosen', () => {
  const fonts = createFontSet([SANS, shippedFace('Source Sans 3', 700), shippedFace('Source Sans 3', 400, true)]);
  expect(fonts.find('Source Sans 3', 650, false)?.weight).toBe(700);
  expect(fonts.find('Source Sans 3', 650, true)?.italic).toBe(true);
  expect(fonts.find('Nowhere Sans', 400, false)).toBeUndefined();
});
