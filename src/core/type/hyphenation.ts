/** Parts of a word between which it may be broken. */
export type Hyphenator = (word: string) => readonly string[];

const LOADERS: Readonly<Record<string, () => Promise<{ default: { hyphenateSync: (text: string) => string } }>>> = {
  'en-gb': () => import('hyphen/en-gb'),
  'en-us': () => import('hyphen/en-us'),
  de: () => import('hyphen/de'),
  fr: () => import('hyphen/fr'),
  es: () => import('hyphen/es'),
  it: () => import('hyphen/it'),
  nl: () => import('hyphen/nl'),
  pt: () => import('hyphen/pt'),
  pl: () => import('hyphen/pl'),
  cy: () => import('hyphen/cy'),
};

/** Languages that a job can be set in, with their own names. */
export const LANGUAGES: readonly { readonly tag: string; readonly name: string }[] = [
  { tag: 'en-GB', name: 'English (UK)' },
  { tag: 'en-US', name: 'English (US)' },
  { tag: 'de', name: 'Deutsch' },
  { tag: 'fr', name: 'Français' },
  { tag: 'es', name: 'Español' },
  { tag: 'it', name: 'Italiano' },
  { tag: 'nl', name: 'Nederlands' },
  { tag: 'pt', name: 'Português' },
  { tag: 'pl', name: 'Polski' },
  { tag: 'cy', name: 'Cymraeg' },
];

const SOFT = '\u00ad';
/** Fewest letters left before and after a break [cp]. */
const BEFORE = 2;
const AFTER = 3;

/**
 * Loads the patterns of a language (Liang's method, the TeX pattern sets).
 * @returns undefined for a language without patterns, which is then not hyphenated
 */
export async function loadHyphenator(language: string): Promise<Hyphenator | undefined> {
  const tag = language.toLowerCase();
  const load = LOADERS[tag] ?? LOADERS[tag.split('-')[0] ?? ''];
  if (!load) return undefined;
  const { hyphenateSync } = (await load()).default;
  const known = new Map<string, readonly string[]>();
  return (word) => {
    const before = known.get(word);
    if (before) return before;
    const parts = keepLetters(hyphenateSync(word).split(SOFT));
    known.set(word, parts);
    return parts;
  };
}

/** Joins parts so that no break leaves too few letters on either side. */
function keepLetters(parts: readonly string[]): readonly string[] {
  const kept: string[] = [];
  let open = '';
  let sofar = 0;
  let rest = parts.reduce((sum, part) => sum + part.length, 0);
  for (const part of parts) {
    open += part;
    sofar += part.length;
    rest -= part.length;
    if (rest > 0 && (sofar < BEFORE || rest < AFTER)) continue;
    kept.push(open);
    open = '';
  }
  return kept;
}
