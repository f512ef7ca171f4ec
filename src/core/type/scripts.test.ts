import { readFileSync } from 'node:fs';
import * as fontkit from 'fontkit';
import decompress from 'woff2-encoder/decompress';
import LineBreaker from 'linebreak';
import { openFont } from '../../bring-in/font';
import { loadHyphenator } from './index';
import { opportunities } from './breaks';

const woff2 = (family: string, subset: string) =>
  readFileSync(`node_modules/@fontsource/${family}/files/${family}-${subset}-400-normal.woff2`);

describe('against a second shaping library (fontkit): the same glyphs and advances in five scripts', () => {
  test.each([
    ['Latin', 'source-serif-4', 'latin', 'Waltz, fjord, office: AVATAR To'],
    ['Greek', 'source-sans-3', 'greek', 'Γαλαξίας πάνω από τον βάλτο'],
    ['Cyrillic', 'source-sans-3', 'cyrillic', 'Тёмное небо над болотом'],
    ['Hebrew', 'noto-sans-hebrew', 'hebrew', 'שמים חשוכים'],
    ['Georgian', 'noto-sans-georgian', 'georgian', 'ბნელი ცა ჭაობზე'],
  ])('%s', async (_script, family, subset, sample) => {
    const bytes = woff2(family, subset);
    // Words by themselves: the files of one script carry no space of another.
    for (const word of sample.split(/[\s,:]+/)) {
      const theirs = fontkit.create(bytes).layout(word);
      const ours = openFont(family, await decompress(bytes)).shape(word, 'und', []);
      const inOrder = (glyphs: readonly number[]) => [...glyphs].sort((a, b) => a - b);
      expect(inOrder(ours.map((g) => g.gid))).toEqual(inOrder(theirs.glyphs.map((g) => g.id)));
      const advance = (all: readonly number[]) => all.reduce((sum, a) => sum + a, 0);
      expect(
        Math.abs(advance(ours.map((g) => g.advance)) - advance(theirs.positions.map((p) => p.xAdvance))),
      ).toBeLessThanOrEqual(1);
    }
  });
});

describe('line-break opportunities are those of Unicode’s data (UAX 14), whatever is hyphenated', () => {
  const SAMPLES = [
    'A well-known path/track: 3.14, “quoted” (and bracketed) – dashed…',
    'Twelve 1,000-ft hills; no break before % or after € 5.',
    'zero\u200bwidth and no\u00a0break and soft\u00adhyphen',
    'Ein Weg, der über die Heide führt; und noch einer.',
  ];
  test.each(SAMPLES)('%s', async (sample) => {
    const theirs: number[] = [];
    const breaker = new LineBreaker(sample);
    for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) theirs.push(next.position);
    expect(opportunities(sample, undefined).map((o) => o.at)).toEqual(theirs);
    const hyphenated = opportunities(sample, await loadHyphenator('de'));
    expect(hyphenated.filter((o) => !o.hyphen || sample[o.at - 1] === '\u00ad').map((o) => o.at)).toEqual(theirs);
  });
});

/**
 * Words broken as F. M. Liang’s thesis, “Word Hy-phen-a-tion by Com-put-er” (Stanford 1983), and The TeXbook,
 * appendix H, break them (from memory); the last German ones as the Duden does (from memory).
 */
test.each([
  ['en-US', 'hyphenation', 'hy-phen-ation'],
  ['en-US', 'concatenation', 'con-cate-na-tion'],
  ['en-US', 'supercalifragilisticexpialidocious', 'su-per-cal-ifrag-ilis-tic-ex-pi-ali-do-cious'],
  ['en-US', 'project', 'project'],
  ['de', 'Silbentrennung', 'Sil-ben-tren-nung'],
  ['de', 'Nachthimmel', 'Nacht-him-mel'],
])('%s: %s is %s', async (language, word, broken) => {
  const hyphenator = await loadHyphenator(language);
  expect(hyphenator?.(word).join('-')).toBe(broken);
});
