import type { z } from 'zod';

type Issue = z.core.$ZodIssue;

/** Sentences and names of a list that are said before the rest is counted. */
const [MOST, MOST_NAMES, LONGEST_NAME] = [12, 5, 60];

const short = (text: string): string => (text.length > LONGEST_NAME ? `${text.slice(0, LONGEST_NAME)}…` : text);

/** Names of a list, the first few and how many more. */
function named(names: readonly unknown[]): string {
  const first = names.slice(0, MOST_NAMES).map((name) => `“${short(String(name))}”`);
  const more = names.length - first.length;
  return more > 0 ? `${first.join(', ')} and ${more} more` : first.join(', ');
}

/** What a kind of value is called where no programmer reads. */
const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'a group of entries in braces',
  record: 'a group of entries in braces',
  null: 'null',
  undefined: 'nothing',
};

/** What is counted of a value that is too small or too large. */
const COUNTED: Readonly<Record<string, string>> = {
  string: ' characters',
  array: ' entries',
  map: ' entries',
  set: ' entries',
};

function wordsOf(issue: Issue): string {
  switch (issue.code) {
    case 'unrecognized_keys':
      return `${named(issue.keys)} is not known here. Take it out, or look for a misspelling.`;
    case 'invalid_type':
      return issue.input === undefined && issue.message.endsWith('received undefined')
        ? `is missing; ${KINDS[issue.expected] ?? issue.expected} is wanted.`
        : `should be ${KINDS[issue.expected] ?? issue.expected}.`;
    case 'invalid_value':
      return issue.values.length === 1
        ? `should be ${named(issue.values)}.`
        : `should be one of ${named(issue.values)}.`;
    case 'too_small':
      return `should be ${issue.inclusive ? 'at least' : 'more than'} ${issue.minimum}${COUNTED[issue.origin] ?? ''}.`;
    case 'too_big':
      return `should be ${issue.inclusive ? 'at most' : 'less than'} ${issue.maximum}${COUNTED[issue.origin] ?? ''}.`;
    case 'invalid_union':
      return 'is none of what can stand here.';
    case 'invalid_format':
      return 'is not written as it should be.';
    default:
      return issue.message;
  }
}

/** Messages of the package itself; a schema’s own say more than a rule can. */
const PACKAGE = /^(?:Invalid |Too |Unrecognized )/;

/**
 * Sentences that say where a document is wrong, and how it should be: `pieces → 0 → size → width: …`; twelve at most.
 */
export function describeProblems(error: z.ZodError): string[] {
  return error.issues.slice(0, MOST).map((issue) => {
    const where = issue.path.map((key) => short(String(key))).join(' → ') || 'the whole file';
    return `${where}: ${PACKAGE.test(issue.message) ? wordsOf(issue) : passedOn(issue.message)}`;
  });
}

/** Longest sentence of a schema that is passed on, characters: some quote what was written. */
const LONGEST = 400;
const passedOn = (text: string): string => (text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text);
