import fc from 'fast-check';
import {
  charactersOf,
  lookThere,
  mapLooks,
  plainParagraphs,
  plainText,
  styleBook,
  withCharacters,
  withParagraphs,
  withTextLook,
  withTextStyle,
  withWords,
  type Paragraph,
} from './index';

const STYLES = styleBook({
  styles: [
    { of: 'paragraph', id: 'body', name: 'Body', basedOn: null, next: null, look: { sizePt: 9 } },
    { of: 'character', id: 'strong', name: 'Strong', basedOn: null, look: { weight: 700 } },
  ],
});
const START = plainParagraphs('The moor is dark\n\nand so is the sky');
const text = (paragraphs: readonly Paragraph[]) => ({
  style: null as string | null,
  look: {},
  paragraphs: [...paragraphs],
});

const words = fc.array(fc.constantFrom('a', 'moon ', '\n', 'Ł', '\t', '·'), { maxLength: 12 }).map((l) => l.join(''));
const edit = fc.record({
  what: fc.constantFrom('bold', 'strong', 'none', 'centre', 'words'),
  from: fc.nat(40),
  length: fc.nat(20),
  words,
});

test('whatever is changed, the words are those that plain text would have, and every run says something', () => {
  fc.assert(
    fc.property(words, fc.array(edit, { maxLength: 12 }), (start, edits) => {
      let paragraphs: Paragraph[] = plainParagraphs(start);
      let plain = start;
      for (const { what, from: a, length, words: typed } of edits) {
        const from = Math.min(a, plain.length);
        const to = Math.min(from + length, plain.length);
        switch (what) {
          case 'bold':
            paragraphs = withCharacters(paragraphs, [from, to], { look: { weight: 700 } });
            break;
          case 'strong':
            paragraphs = withCharacters(paragraphs, [from, to], { style: 'strong' });
            break;
          case 'none':
            paragraphs = withCharacters(paragraphs, [from, to], { style: null });
            break;
          case 'centre':
            paragraphs = withParagraphs(paragraphs, [from, to], { look: { align: 'centre' } });
            break;
          case 'words':
            paragraphs = withWords(paragraphs, [from, to], typed);
            plain = plain.slice(0, from) + typed + plain.slice(to);
            break;
        }
        expect(plainText(paragraphs)).toBe(plain);
        for (const run of paragraphs.flatMap((p) => p.runs)) {
          expect(run.text).not.toBe('');
          expect(run.look === undefined || Object.keys(run.look).length > 0).toBe(true);
        }
      }
    }),
  );
});

test('words take a look, and what lies around them keeps its own; paragraphs not touched stay the same objects', () => {
  const changed = withCharacters(START, [4, 8], { look: { italic: true } });
  expect(changed[0]?.runs).toEqual([{ text: 'The ' }, { text: 'moor', look: { italic: true } }, { text: ' is dark' }]);
  expect(changed[2]).toBe(START[2]);
  // Taken back, the words are one again.
  const back = withCharacters(changed, [0, 16], { style: null });
  expect(back[0]?.runs).toEqual([{ text: 'The moor is dark' }]);
});

test('a style given to a paragraph takes away what it said before; more can be said beside it', () => {
  const own = withParagraphs(START, [0, 3], { look: { align: 'right', sizePt: 14 } });
  const styled = withParagraphs(own, [0, 3], { style: 'body' });
  expect(styled[0]).toEqual({ style: 'body', runs: START[0]?.runs });
  const departed = withParagraphs(styled, [0, 3], { look: { align: 'centre' } });
  const there = lookThere(text(departed), STYLES, [0, 3]);
  expect(there).toMatchObject({ paragraphStyle: 'body', look: { sizePt: 9, align: 'centre' } });
  expect([...there.departs]).toEqual(['align']);
});

test('what is said of the whole text wins over what a part said of the same, and leaves the rest', () => {
  const bold = withCharacters(START, [4, 8], { look: { weight: 700, sizePt: 20 } });
  const whole = withTextLook(text(bold), { sizePt: 11 });
  expect(whole.look).toEqual({ sizePt: 11 });
  expect(whole.paragraphs[0]?.runs[1]).toEqual({ text: 'moor', look: { weight: 700 } });
  const styled = withTextStyle(whole, 'body');
  expect(styled).toMatchObject({ style: 'body', look: {} });
  expect(styled.paragraphs[0]?.runs[1]).toEqual({ text: 'moor', look: { weight: 700 } });
});

test('a mixed selection says which facts differ in it', () => {
  const mixed = withCharacters(START, [4, 8], { look: { weight: 700 } });
  expect([...lookThere(text(mixed), STYLES).mixed]).toEqual(['weight']);
  expect([...lookThere(text(mixed), STYLES, [4, 8]).mixed]).toEqual([]);
  expect(lookThere(text(mixed), STYLES, [4, 8]).look.weight).toBe(700);
});

test('looks are changed wherever they are said or come from, and the styles stay', () => {
  const mixed = withCharacters(withParagraphs(START, [0, 0], { style: 'body' }), [4, 8], { style: 'strong' });
  const larger = mapLooks(text(mixed), STYLES, ({ sizePt }) => (sizePt < 9.5 ? { sizePt: 9.5 } : {}));
  expect(larger.paragraphs[0]).toMatchObject({ style: 'body', look: { sizePt: 9.5 } });
  expect(larger.paragraphs[2]).toEqual(START[2]);
  expect(lookThere(larger, STYLES).look.sizePt).toBe(9.5);
});

test('of a paragraph’s look the letters’ part is taken', () => {
  expect(charactersOf({ sizePt: 9, align: 'centre', weight: 700 })).toEqual({ sizePt: 9, weight: 700 });
});
