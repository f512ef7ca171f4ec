import { Problem } from './problem';

/** What the server says in words, all of it: the status, what was wrong, and what to do about it. */

const RELOAD = 'Reload the page and try again.';
const BRING_AGAIN = 'Bring it in again.';
const EXPORT_AGAIN = 'Export the job again.';

/** What is asked for cannot be understood. */
export const unclear = {
  order: () =>
    new Problem(
      400,
      'What was ordered cannot be read.',
      'Say the pages as a whole number, and lengths in millimetres.',
    ),
  reply: () => new Problem(400, 'This reply cannot be read.', 'Hand in the file again.'),
  beyond: () => new Problem(400, 'Four lengths in millimetres are wanted: above, right, below, left.', RELOAD),
  notWhole: (what: string) => new Problem(400, `${what} must be a whole number.`, RELOAD),
  profile: () => new Problem(400, 'There is no such output profile.', 'Reload the page.'),
  adjustment: () => new Problem(400, 'This adjustment cannot be read.', 'Reload the page.'),
  width: (widest: number) => new Problem(400, `A width from 1 to ${widest} pixels is wanted.`, 'Reload the page.'),
  trace: () =>
    new Problem(
      400,
      'A way to tell shapes and a percentage between 0 and 100 are wanted.',
      'Write another percentage.',
    ),
  place: () => new Problem(400, 'A place in the picture is wanted.', 'Reload the page.'),
  holidays: () => new Problem(400, 'These holidays cannot be looked up.', 'Give a region, a year and a language.'),
  noJob: () => new Problem(400, 'A job is missing in the request.', RELOAD),
  noFacts: () => new Problem(400, 'Say which jobs are changed, and to what.', RELOAD),
  round: () => new Problem(400, 'This round cannot be begun.', 'Say who practises, a level and how many faults.'),
  marks: () => new Problem(400, 'What was marked cannot be read.', RELOAD),
  facts: () => new Problem(400, 'These facts of a job cannot be looked up.', RELOAD),
  noKind: () => new Problem(400, 'Say which kind of file is wanted.', RELOAD),
  noStates: () => new Problem(400, 'A save names its base revision and its states.', RELOAD),
  noName: () => new Problem(400, 'The file’s name is missing.', 'Drop the file again.'),
  notJson: () => new Problem(400, 'The request is not JSON.', RELOAD),
  tooDeep: () => new Problem(400, 'This is nested deeper than anything that is kept here.', RELOAD),
};

/** What is asked for is not there. */
export const missing = {
  address: () => new Problem(404, 'There is nothing at this address.', 'Look on the board, or in the shop books.'),
  job: () => new Problem(404, 'There is no such job.', 'It may have been removed; look on the board.'),
  round: () => new Problem(404, 'This round is no longer kept.', 'Begin another one under Practice.'),
  revision: (number: number) => new Problem(404, `This job has no revision ${number}.`, 'Choose one from its record.'),
  version: () =>
    new Problem(
      404,
      'This version is no longer kept.',
      'Versions that were chosen between are cleared away after 90 days.',
    ),
  side: () => new Problem(404, 'This job has no side to show.', 'Open it and set its size.'),
  asset: () => new Problem(404, 'This picture or font is not here.', BRING_AGAIN),
  picture: () => new Problem(404, 'This is not a picture.', 'Bring the picture in again.'),
  drawing: () => new Problem(404, 'This drawing is not here.', BRING_AGAIN),
  rows: () => new Problem(404, 'This file of records is not here.', BRING_AGAIN),
  font: () => new Problem(404, 'This font is not here.', BRING_AGAIN),
  profile: () => new Problem(404, 'This profile is not here.', BRING_AGAIN),
  page: () => new Problem(404, 'There is no such page.', 'Choose another page of the PDF.'),
  bytes: (what: string) => new Problem(404, `The file of this ${what} is gone.`, BRING_AGAIN),
  export: () => new Problem(404, 'There is no such export.', EXPORT_AGAIN),
  file: () => new Problem(404, 'This file is not there.', EXPORT_AGAIN),
  record: (word: string, name: string) =>
    new Problem(404, `There is no ${word} called “${name}”.`, 'Look in the book.'),
};

/** What was sent cannot be taken. @param problems sentences that say where it is wrong */
export const refused = {
  file: (problem: string) => new Problem(422, problem, 'Nothing was changed.'),
  nothingToSpoil: () =>
    new Problem(422, 'There is no piece to practise on.', 'Lay out a job first, or start with the demo’s data.'),
  notSound: (piece: string) =>
    new Problem(
      422,
      `“${piece}” has faults of its own.`,
      'Mend them under Inspect first, or take another piece to practise on.',
    ),
  notSpoilt: () => new Problem(422, 'Nothing could be spoilt in this piece.', 'Take another piece, or a higher level.'),
  workingFile: (problems: readonly string[]) =>
    new Problem(422, 'This file cannot be opened as a job.', problems.join(' '), { problems }),
  job: (problems: readonly string[]) =>
    new Problem(422, 'This is not a job that can be saved.', problems.join(' '), { problems }),
  drawing: () => new Problem(422, 'This drawing can no longer be read.', BRING_AGAIN),
  rows: (problem: string) => new Problem(422, problem, BRING_AGAIN),
  exportKind: (kind: string, kinds: readonly string[]) =>
    new Problem(422, `“${kind}” is not a kind of file.`, `Choose one of ${kinds.join(', ')}.`),
  record: (word: string, problems: readonly string[]) =>
    new Problem(422, `This ${word} cannot be kept.`, problems.join(' '), { problems }),
  nameless: (word: string) => new Problem(422, `A ${word} needs a name.`, 'Give it one and try again.'),
  nameTaken: (word: string, name: string) =>
    new Problem(409, `There is a ${word} called “${name}” already.`, 'Choose another name.'),
  /** @param saved what was saved meanwhile */
  savedMeanwhile: (saved: Readonly<Record<string, unknown>>) =>
    new Problem(
      409,
      'Somebody saved this job in the meantime.',
      'Both versions are kept. Choose which one goes on.',
      saved,
    ),
  otherState: () =>
    new Problem(412, 'These changes are of another state of the job.', 'They are sent again with all of it.'),
};

/** What did not come through, or came from where nothing is taken. */
export const halted = {
  address: () => new Problem(421, 'This address is not this server’s.', 'Open it as localhost or 127.0.0.1.'),
  otherSite: () =>
    new Problem(403, 'This request came from another site.', 'Open Yellow Sheet in its own window and try again.'),
  /** @param most bytes */
  tooLarge: (most: number) =>
    new Problem(413, 'This is larger than can be taken in.', `Send at most ${Math.floor(most / 1024 / 1024)} MB.`),
  tooSlow: () =>
    new Problem(
      408,
      'The rest of this did not arrive.',
      'Nothing was changed. Look at the connection and send it again.',
    ),
  spoilt: () =>
    new Problem(400, 'What arrived is not what was sent.', 'Nothing was changed. Send it again.', { again: true }),
  busy: () => new Problem(503, 'More is asked for here than can be done.', 'Try again in a minute.', { again: true }),
  left: () => new Problem(499, 'Nobody waited for this any more.', 'Ask for it again.'),
};

/** What is wrong with the place where the data are kept. */
export const broken = {
  full: (where: string) =>
    new Problem(507, `The disk that holds ${where} is full.`, 'Nothing was changed there. Make room on it.'),
  readOnly: (where: string) =>
    new Problem(
      507,
      `${where} cannot be written to.`,
      'Nothing was changed there. Look at its disk and its permissions.',
    ),
  database: (where: string) =>
    new Problem(
      500,
      `The database in ${where} is damaged.`,
      'Stop the server and put back its last copy: npm run ys -- restore.',
    ),
  databaseGone: (where: string) =>
    new Problem(
      500,
      `The database is no longer in ${where}.`,
      'Stop the server, put the database back, or its last copy with “npm run ys -- restore”, and start again.',
    ),
  /** @param readable the newest state that can be read */
  newestState: (head: number, readable: number | undefined, problems: readonly string[]) =>
    new Problem(
      500,
      `The newest state of this job, revision ${head}, can no longer be read.`,
      readable === undefined
        ? 'No earlier one can be read either: put back a copy of the database.'
        : `Revision ${readable} can be read.`,
      { readable, problems },
    ),
  state: (problems: readonly string[]) =>
    new Problem(500, 'A saved state can no longer be read.', 'Restore an earlier revision.', { problems }),
  unknown: () =>
    new Problem(
      500,
      'Something went wrong here.',
      'Nothing was lost. Try again; if it stays, look at the server’s output.',
    ),
};
