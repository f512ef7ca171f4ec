/** A command line that cannot be followed; the message says what to do. */
export class UsageError extends Error {}

export interface Arguments {
  readonly words: readonly string[];
  readonly flags: ReadonlyMap<string, string>;
  /** `--set name=value`, in the order given. */
  readonly set: Readonly<Record<string, string>>;
}

const WITH_VALUE = [
  'out',
  'to',
  'at',
  'set',
  'name',
  'unit',
  'assets',
  'printer',
  'paper',
  'printable',
  'page',
  'wide',
  'beyond',
  'kind',
  'job',
  'reply',
  'revision',
  'into',
  'side',
  'ppi',
  'data',
  'of',
  'do',
  'files',
  'guests',
] as const;
const PLAIN = ['json', 'strict', 'unchecked', 'spreads', 'mend'] as const;

/** Reads the words after the command. */
export function readArguments(argv: readonly string[]): Arguments {
  const words: string[] = [];
  const flags = new Map<string, string>();
  const set: Record<string, string> = {};
  for (let i = 0; i < argv.length; i += 1) {
    const word = argv[i] ?? '';
    if (!word.startsWith('--')) {
      words.push(word);
      continue;
    }
    const [name = '', inline] = word.slice(2).split(/=(.*)/s, 2);
    if ((PLAIN as readonly string[]).includes(name)) {
      flags.set(name, 'yes');
      continue;
    }
    if (!(WITH_VALUE as readonly string[]).includes(name)) {
      throw new UsageError(
        `There is no option --${name}. Options: ${[...WITH_VALUE, ...PLAIN].map((f) => `--${f}`).join(', ')}.`,
      );
    }
    const value = inline ?? argv[(i += 1)];
    if (value === undefined) throw new UsageError(`--${name} needs a value after it.`);
    if (name !== 'set') {
      flags.set(name, value);
      continue;
    }
    const [key, text] = value.split(/=(.*)/s, 2);
    if (!key || text === undefined)
      throw new UsageError(`--set wants name=value, for example --set size=A5; “${value}” is not that.`);
    set[key] = text;
  }
  return { words, flags, set };
}

/** A whole number from 1 on that follows an option. */
export function wholeNumber({ flags }: Arguments, name: string, usual: number): number {
  const value = Number(flags.get(name) ?? usual);
  if (!Number.isInteger(value) || value < 1 || value > 100_000) throw new UsageError(`--${name} wants a whole number.`);
  return value;
}
