import { plainStem } from './plain-name';

/** What a pattern for names of files may ask for. */
export const NAME_PARTS = ['client', 'job', 'what', 'revision', 'date'] as const;
export type NamePart = (typeof NAME_PARTS)[number];

export const NAME_PART_WORDS: Readonly<Record<NamePart, string>> = {
  client: 'the client',
  job: 'the job',
  what: 'what the file is: press, preview, letter …',
  revision: 'number of the revision',
  date: 'day of the revision',
};

/** How files are called where nobody says otherwise. */
export const USUAL_NAMES = '{job}-{what}';

const PART = /\{(\w+)\}/g;

/** What is wrong with a pattern; undefined where it can be used. */
export function patternProblem(pattern: string): string | undefined {
  const parts = [...pattern.matchAll(PART)].map(([, name]) => name ?? '');
  const unknown = parts.find((name) => !NAME_PARTS.some((part) => part === name));
  if (unknown !== undefined)
    return `“{${unknown}}” is not known; there are ${NAME_PARTS.map((p) => `{${p}}`).join(', ')}.`;
  if (!parts.includes('what')) return 'It needs {what}, so that no two files are called the same.';
  if (/[\\/:*?"<>|]/.test(pattern.replace(PART, ''))) return 'A name of a file has none of \\ / : * ? " < > |.';
  return undefined;
}

/** The name of a file by a pattern, without what it ends in: every part as any file system takes it. */
export const namedBy = (pattern: string, facts: Readonly<Record<NamePart, string>>): string =>
  pattern
    .replace(PART, (all, name: string) => {
      const part = NAME_PARTS.find((one) => one === name);
      return part ? plainStem(facts[part]) : all;
    })
    .replace(/[-_ ]{2,}/g, (run) => run.slice(0, 1))
    .replace(/^[-_ .]/, '')
    .replace(/[-_ .]$/, '');
