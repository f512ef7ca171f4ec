import { HEIGHT, MARGIN, SheetOf, WIDTH, together } from './sheet';
import type { Job } from '../job';

/** What a house is told of the files that go to it. */
export interface Letter {
  readonly house: string;
  readonly from: string;
  readonly job: string;
  readonly day: string;
  /** What is printed: name and value. */
  readonly facts: readonly (readonly [string, string])[];
  /** What was looked at, in sentences. */
  readonly checked: readonly string[];
  /** Each file with what is in it. */
  readonly files: readonly { readonly name: string; readonly sha: string }[];
}

const WIDE = WIDTH - 2 * MARGIN;
const ROW = 5;
/** Files on the first page below the words, and on each page after it. */
const [ROWS_FIRST, ROWS_NEXT] = [14, 42];

/** The words of a letter, one below the other, for a mail. */
export function letterText({ house, from, job, day, facts, checked, files }: Letter): string {
  const wide = Math.max(...facts.map(([name]) => name.length)) + 2;
  return [
    `To ${house}`,
    `From ${from}`,
    day,
    '',
    `${job}: files for print`,
    '',
    ...facts.map(([name, value]) => `${`${name}:`.padEnd(wide)}${value}`),
    '',
    ...checked,
    '',
    'Each file with its SHA-256, so that you can tell that it came whole:',
    ...files.map(({ name, sha }) => `${sha}  ${name}`),
    '',
    'Please ask before you change anything in them.',
    '',
  ].join('\n');
}

/** The same on paper. */
export function letterSheet(letter: Letter): Job {
  const { house, from, job, day, facts, checked, files } = letter;
  const first = new SheetOf(1)
    .words(`To ${house}\nFrom ${from}`, { x: MARGIN, y: MARGIN, width: WIDE - 40, height: 12 })
    .words(day, { x: WIDTH - MARGIN - 40, y: MARGIN, width: 40, height: 7 }, { isSoft: true, align: 'right' })
    .words(`${job}: files for print`, { x: MARGIN, y: 38, width: WIDE, height: 12 }, { sizePt: 20, weight: 700 })
    .rule(MARGIN, 52, WIDE, 1);
  facts.forEach(([name, value], i) => {
    const y = 57 + i * 6;
    first.words(name, { x: MARGIN, y, width: 42, height: 5.5 }, { isSoft: true });
    first.words(value, { x: MARGIN + 44, y, width: WIDE - 44, height: 5.5 });
  });
  const words = 60 + facts.length * 6;
  first.words(checked.join(' '), { x: MARGIN, y: words, width: WIDE, height: 24 });
  const top = words + 28;
  const room = Math.min(ROWS_FIRST, Math.floor((HEIGHT - MARGIN - 10 - top) / ROW / 2));
  list(first, files.slice(0, room), top);
  const rest = files.slice(room);
  const pages = Array.from({ length: Math.ceil(rest.length / ROWS_NEXT) }, (_, i) => {
    const page = new SheetOf(i + 2);
    list(page, rest.slice(i * ROWS_NEXT, (i + 1) * ROWS_NEXT), MARGIN);
    return page.job('letter', `Letter, ${job}`.slice(0, 120), 'en-GB');
  });
  return together([first.job('letter', `Letter, ${job}`.slice(0, 120), 'en-GB'), ...pages]);
}

function list(page: SheetOf, files: Letter['files'], top: number): void {
  files.forEach(({ name, sha }, i) => {
    const y = top + i * ROW;
    page.words(name, { x: MARGIN, y, width: 80, height: ROW }, { sizePt: 8.5 });
    page.words(sha.slice(0, 32), { x: MARGIN + 84, y, width: WIDE - 84, height: ROW }, { sizePt: 8, isSoft: true });
  });
}
