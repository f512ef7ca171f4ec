/** A place where words are not set as a typographer of the language would set them. */
export interface Care {
  readonly at: number;
  readonly length: number;
  readonly right: string;
  /** What it is, as a check says it. */
  readonly what: 'quotes' | 'apostrophe' | 'dash' | 'spaces' | 'ellipsis' | 'ordinal' | 'sign';
}

/** Quotation marks by language: CLDR’s, from memory. */
const QUOTES: Readonly<Record<string, readonly [open: string, close: string, inner: string, innerClose: string]>> = {
  en: ['“', '”', '‘', '’'],
  de: ['„', '“', '‚', '‘'],
  fr: ['«\u202f', '\u202f»', '“', '”'],
  es: ['«', '»', '“', '”'],
  it: ['«', '»', '“', '”'],
  nl: ['‘', '’', '“', '”'],
  pt: ['“', '”', '‘', '’'],
  pl: ['„', '”', '«', '»'],
  cy: ['‘', '’', '“', '”'],
};

interface Habit {
  readonly what: Care['what'];
  readonly find: RegExp;
  /** What belongs there; undefined where nothing is wrong. */
  readonly right: (match: RegExpExecArray, text: string) => string | undefined;
}

const fixed = (what: Care['what'], find: RegExp, right: string): Habit => ({ what, find, right: () => right });

const english = (n: number): string => {
  const [tens, ones] = [n % 100, n % 10];
  if (tens >= 11 && tens <= 13) return 'th';
  return ones === 1 ? 'st' : ones === 2 ? 'nd' : ones === 3 ? 'rd' : 'th';
};

/** Habits of every language [cp]. */
function habitsOf(language: string): readonly Habit[] {
  const tag = language.toLowerCase();
  const [base = 'en'] = tag.split('-');
  const quotes = QUOTES[base] ?? QUOTES['en'];
  const [open = '“', close = '”', inner = '‘', innerClose = '’'] = quotes ?? [];
  const isOpening = (text: string, at: number) => at === 0 || /[\s(\[–—\u2028]/.test(text[at - 1] ?? '');
  const dash = tag === 'en-us' ? '—' : ' – ';
  return [
    // After a figure it is feet or inches, not a quotation mark.
    { what: 'sign', find: /(?<=\d)"/g, right: (m, text) => (oddBefore(text, m.index) ? undefined : '″') },
    { what: 'sign', find: /(?<=\d)'(?=\s|\d|$|[,.;)])/g, right: () => '′' },
    { what: 'quotes', find: /"/g, right: (m, text) => (isOpening(text, m.index) ? open : close) },
    fixed('apostrophe', /(?<=\p{L})'(?=\p{L})/gu, '’'),
    {
      what: 'quotes',
      find: /(?<![\p{L}\d])'(?=\p{L})|(?<=[\p{L}.,!?…])'(?!\p{L})/gu,
      right: (m, text) =>
        isOpening(text, m.index) ? (/^'(?:tis|twas|em|til|\d)/i.test(text.slice(m.index)) ? '’' : inner) : innerClose,
    },
    fixed('dash', /(?<=\S) (?:-|--) (?=\S)/g, dash),
    fixed('dash', /(?<=\p{L})--(?=\p{L})/gu, tag === 'en-us' ? '—' : ' – '),
    { what: 'dash', find: /(?<![\d-])\d{1,4}-\d{1,4}(?![\d-])/g, right: (m) => m[0].replace('-', '–') },
    fixed('ellipsis', /(?<!\.)\.\.\.(?!\.)/g, '…'),
    fixed('spaces', /(?<=[.!?:;,])  +(?=\S)/g, ' '),
    // Beside a sign that parts an address or a list, wider room is meant.
    fixed('spaces', /(?<=[^\s·•|])  +(?=[^\s·•|])/g, ' '),
    base === 'fr'
      ? {
          what: 'spaces',
          find: /(?<=[\p{L}\p{N}»)]) ?(?=[!?;])| (?=:)/gu,
          right: (m) => (m[0] === '\u202f' ? undefined : '\u202f'),
        }
      : fixed('spaces', /(?<=\p{L}) (?=[,.!?;:](?:\s|$))/gu, ''),
    fixed('sign', /(?<=\d ?)x(?= ?\d)/g, '×'),
    fixed('sign', /\(c\)(?= ?\d{4})/gi, '©'),
    ...(base === 'en'
      ? [
          {
            what: 'ordinal' as const,
            find: /(?<!\d)(\d{1,4})(st|nd|rd|th)\b/g,
            right: (m: RegExpExecArray) =>
              m[2] === english(Number(m[1])) ? undefined : `${m[1] ?? ''}${english(Number(m[1]))}`,
          },
        ]
      : []),
    ...(base === 'fr'
      ? [fixed('ordinal', /(?<=\b1)ère\b/g, 're'), fixed('ordinal', /(?<=\b(?:[2-9]|\d{2,6}))(?:i?ème)\b/g, 'e')]
      : []),
    ...(['es', 'it', 'pt'].includes(base)
      ? [fixed('ordinal', /(?<=\b\d{1,3}\.?)o\b/g, 'º'), fixed('ordinal', /(?<=\b\d{1,3}\.?)a\b/g, 'ª')]
      : []),
  ];
}

/** Whether a quotation was begun before a place and is still open: what closes it is no inch. */
const oddBefore = (text: string, at: number): boolean => (text.slice(0, at).match(/(?<!\d)"/g)?.length ?? 0) % 2 === 1;

/**
 * What is not as it should be in some words, from the first to the last; what overlaps is said once.
 * @param language BCP 47
 */
export function careFor(text: string, language: string): readonly Care[] {
  const found: Care[] = [];
  for (const { what, find, right } of habitsOf(language)) {
    for (const match of text.matchAll(find)) {
      const [at, length] = [match.index, match[0].length];
      const better = right(match, text);
      if (better === undefined || better === match[0]) continue;
      const overlaps = found.some((f) => at < f.at + Math.max(1, f.length) && f.at < at + Math.max(1, length));
      if (!overlaps) found.push({ at, length, right: better, what });
    }
  }
  return found.sort((a, b) => a.at - b.at);
}
