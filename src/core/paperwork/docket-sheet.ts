import type { Job, PictureAsset } from '../job';
import type { Mm } from '../measure';
import { FIGURES, HEIGHT, MARGIN, SheetOf, WIDTH, together } from './sheet';

/** A step of the work, as the job bag has it. */
export interface DocketStep {
  readonly title: string;
  /** The day on which it ends. */
  readonly ends: string;
  readonly words: string;
  readonly isDone: boolean;
}

/** What goes along with a job in its bag. */
export interface Docket {
  readonly name: string;
  readonly client: string;
  readonly language: string;
  /** When it was printed, and of which state. */
  readonly day: string;
  readonly state: string;
  readonly facts: readonly (readonly [name: string, value: string])[];
  readonly picture: { readonly sha: string; readonly asset: PictureAsset } | undefined;
  readonly steps: readonly DocketStep[];
  /** What is done after printing, in order, with what can hurt in it. */
  readonly finishing: readonly { readonly what: string; readonly caution: string | undefined }[];
  readonly figures: readonly (readonly [name: string, value: string])[];
  readonly notes: string;
  /** What the code says: it leads back to the job. */
  readonly code: string;
}

const WIDE = WIDTH - 2 * MARGIN;
/** The picture of the front, and where the columns begin. */
const [PICTURE, HALF]: readonly [Mm, Mm] = [62, WIDE / 2 + 4];
const [ROW, STEP]: readonly [Mm, Mm] = [5.2, 8];
/** Figures on the first page beside the steps, and on each page after it. */
const NEXT = 44;

/** The job as pages for its bag: what it is, its picture, its days, what is done to it, its figures and its code. */
export function docketSheet(docket: Docket): Job {
  const { name, client, language, day, state, facts, picture, steps, finishing, figures, notes, code } = docket;
  const about = [client, state].filter((part) => part !== '').join(' · ');
  const page = new SheetOf(1)
    .band({ x: 0, y: 0, width: WIDTH, height: 46 })
    .words(name, { x: MARGIN, y: 13, width: WIDE - 40, height: 14 }, { sizePt: 24, weight: 700 })
    .words(about, { x: MARGIN, y: 30, width: WIDE - 40, height: 7 })
    .words(`printed ${day}`, { x: MARGIN, y: 37, width: WIDE - 40, height: 6 }, { sizePt: 8.5 })
    .code(code, { x: WIDTH - MARGIN - 32, y: 7, width: 32, height: 32 });
  facts.forEach(([what, value], i) => {
    const y = 53 + i * 6.4;
    page.words(what, { x: MARGIN, y, width: 30, height: 6 }, { isSoft: true });
    page.words(value, { x: MARGIN + 31, y, width: WIDE - PICTURE - 36, height: 6 }, { weight: 600 });
  });
  if (picture)
    page.picture(picture.sha, picture.asset, { x: WIDTH - MARGIN - PICTURE, y: 53, width: PICTURE, height: PICTURE });
  const top = 122;
  heading(page, 'Days', MARGIN, top);
  steps.forEach(({ title, ends, words, isDone }, i) => {
    const y = top + 9 + i * STEP;
    page.tick(MARGIN, y);
    if (isDone) page.words('×', { x: MARGIN + 0.7, y: y - 0.6, width: 4, height: 5 }, { weight: 700 });
    page.words(title, { x: MARGIN + 7, y, width: 30, height: 5 }, { weight: 600 });
    page.words(ends, { x: MARGIN + 37, y, width: HALF - 45, height: 5 }, { family: FIGURES, sizePt: 9 });
    page.words(words, { x: MARGIN + 7, y: y + 4, width: HALF - 15, height: 3.8 }, { sizePt: 7.5, isSoft: true });
  });
  heading(page, 'Figures', MARGIN + HALF, top);
  const fits = Math.floor((HEIGHT - MARGIN - top - 9 - noteHeight(notes, finishing)) / ROW);
  rows(page, figures.slice(0, fits), top + 9, MARGIN + HALF, HALF - 8);
  finishingAndNotes(page, finishing, notes);
  const rest = figures.slice(fits);
  const more = Array.from({ length: Math.ceil(rest.length / NEXT) }, (_, i) => {
    const next = new SheetOf(i + 2);
    heading(next, `Figures of ${name}`, MARGIN, MARGIN);
    rows(next, rest.slice(i * NEXT, (i + 1) * NEXT), MARGIN + 10, MARGIN, WIDE);
    return next.job('docket', title(name), language);
  });
  return together([page.job('docket', title(name), language), ...more]);
}

const title = (name: string): string => `Docket, ${name}`.slice(0, 120);

const heading = (page: SheetOf, words: string, x: Mm, y: Mm): SheetOf =>
  page.words(words, { x, y, width: HALF, height: 7 }, { sizePt: 12, weight: 700 }).rule(x, y + 7, HALF - 8, 0.8);

function rows(page: SheetOf, figures: Docket['figures'], top: Mm, x: Mm, wide: Mm): void {
  figures.forEach(([name, value], i) => {
    const y = top + i * ROW;
    page.words(name, { x, y, width: wide * 0.45, height: ROW }, { sizePt: 9, isSoft: true });
    page.words(
      value,
      { x: x + wide * 0.46, y, width: wide * 0.54, height: ROW },
      { sizePt: 9, family: FIGURES, align: 'right' },
    );
  });
}

/** How high a line of what is done, with its caution, and the room for notes are, mm. */
const [DONE, NOTES]: readonly [Mm, Mm] = [9, 22];

const noteHeight = (notes: string, finishing: Docket['finishing']): Mm =>
  (finishing.length > 0 ? 12 + finishing.length * DONE : 0) + (notes === '' ? 0 : NOTES);

function finishingAndNotes(page: SheetOf, finishing: Docket['finishing'], notes: string): void {
  const top = HEIGHT - MARGIN - noteHeight(notes, finishing);
  if (finishing.length > 0) heading(page, 'After printing', MARGIN + HALF, top);
  finishing.forEach(({ what, caution }, i) => {
    const y = top + 9 + i * DONE;
    page.tick(MARGIN + HALF, y);
    page.words(what, { x: MARGIN + HALF + 7, y, width: HALF - 15, height: 5 }, { weight: 600 });
    if (caution !== undefined)
      page.words(
        caution,
        { x: MARGIN + HALF + 7, y: y + 4, width: HALF - 15, height: 4.6 },
        { sizePt: 7.5, isSoft: true },
      );
  });
  if (notes !== '')
    page.words(
      notes,
      { x: MARGIN + HALF, y: HEIGHT - MARGIN - NOTES + 3, width: HALF - 8, height: NOTES - 3 },
      { sizePt: 9 },
    );
}
