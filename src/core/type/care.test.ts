import fc from 'fast-check';
import { careFor } from './care';

const mended = (text: string, language = 'en-GB'): string =>
  [...careFor(text, language)]
    .reverse()
    .reduce((t, { at, length, right }) => t.slice(0, at) + right + t.slice(at + length), text);

/**
 * Conventions of each language as its handbooks of style give them [cp]; quotation marks as CLDR has them, from memory.
 */
test.each([
  ['en-GB', '"Bring soup," she said.', '“Bring soup,” she said.'],
  ['de', 'Sie rief: "Licht aus!"', 'Sie rief: „Licht aus!“'],
  ['fr', 'Elle dit "non"', 'Elle dit «\u202fnon\u202f»'],
  ['pl', 'Powiedziała "nie"', 'Powiedziała „nie”'],
  ['en-GB', "don't look at the dogs' lamp", 'don’t look at the dogs’ lamp'],
  ['en-GB', 'dusk - or later', 'dusk – or later'],
  ['en-US', 'dusk -- or later', 'dusk—or later'],
  ['en-GB', 'open 18-22, Fridays', 'open 18–22, Fridays'],
  ['en-GB', 'tel. 020-946-0018', 'tel. 020-946-0018'],
  ['en-GB', 'Wait...  and see', 'Wait… and see'],
  ['en-GB', 'soup , please', 'soup, please'],
  ['en-GB', 'Hollin Ford  ·  every clear  Friday', 'Hollin Ford  ·  every clear Friday'],
  ['en-GB', 'the 21th and the 12nd', 'the 21st and the 12th'],
  ['en-GB', 'the 3rd, 11th and 102nd', 'the 3rd, 11th and 102nd'],
  ['fr', 'la 1ère et la 2ème', 'la 1re et la 2e'],
  ['fr', 'Vraiment ?', 'Vraiment\u202f?'],
  ['es', 'el 3o piso', 'el 3º piso'],
  ['en-US', `a 5' 6" door`, 'a 5′ 6″ door'],
  ['en-GB', 'a 3 x 4 grid', 'a 3 × 4 grid'],
  ['en-GB', '(c) 2026', '© 2026'],
  ['en-GB', 'nothing to mend – “here” or there…', 'nothing to mend – “here” or there…'],
])('%s: %s', (language, typed, right) => expect(mended(typed, language)).toBe(right));

test('what was mended needs no mending again', () => {
  const piece = fc.constantFrom('"', "'", ' - ', 'moon', ' ', '5', '...', '.', ',', '21th', '–', '\u202f');
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 14 }), fc.constantFrom('en-GB', 'de', 'fr', 'es'), (parts, language) => {
      // Twice, because what was hidden beneath one fault may be another.
      const once = mended(mended(parts.join(''), language), language);
      expect(mended(mended(once, language), language)).toBe(mended(once, language));
    }),
  );
});
