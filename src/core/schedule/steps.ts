import { blankOf, finishesOf, paperOf, printRun, rulesFor, type Job, type StepId } from '../job';
import { counted, formatCount } from '../measure';
import { FINISH_TITLES, type FinishKind } from '../shop';

export const STEP_TITLES: Readonly<Record<StepId, string>> = {
  proof: 'Proof',
  approval: 'Approval',
  files: 'Files',
  queue: 'Waits its turn',
  plates: 'Plates',
  print: 'Print',
  dry: 'Dry',
  finish: 'Finish',
  bind: 'Bind',
  deliver: 'Deliver',
};

/** What the house does once it has the files; the rest is done before. */
const OF_THE_HOUSE: readonly StepId[] = ['queue', 'plates', 'print', 'dry', 'finish', 'bind', 'deliver'];

export const isOfTheHouse = (id: StepId): boolean => OF_THE_HOUSE.includes(id);

/** A step and how many working days it takes. */
export interface StepNeed {
  readonly id: StepId;
  /** 0: on the same day as the step after it. */
  readonly days: number;
  /** Why so many, in words. */
  readonly why: string;
}

/** Working days that are usual [cp]. */
const USUAL = {
  proof: 1,
  approval: 2,
  files: 1,
  plates: 1,
  deliver: 1,
  dry: { coated: 1, uncoated: 2, newsprint: 1 },
  bind: { saddle: 1, wire: 1, perfect: 2 },
} as const;

/** Sheets that a press prints in a day, both passes and make-ready counted [cp]. */
const SHEETS_A_DAY = { offset: 30_000, digital: 8_000, 'wide-format': 300, flexo: 60_000 } as const;

/** Pieces that a machine folds, scores or cuts in a day [cp]. */
const FINISHED_A_DAY = 20_000;

/** More kinds of finishing take a day more [cp]. */
const MANY = 2;

/** The steps that a job needs, with what is usual for each, or what its house promises. */
export function stepsOf(job: Job): readonly StepNeed[] {
  const said = job.schedule?.steps ?? {};
  return neededBy(job).map((step) => {
    const days = said[step.id]?.days;
    return days === undefined ? step : { ...step, days, why: 'said by hand' };
  });
}

function neededBy(job: Job): readonly StepNeed[] {
  const own: readonly StepNeed[] = [
    { id: 'proof', days: USUAL.proof, why: 'made, and sent to the client' },
    { id: 'approval', days: USUAL.approval, why: 'usual for an answer (common practice)' },
    { id: 'files', days: USUAL.files, why: 'the day on which they go to the house' },
  ];
  const usual = houseSteps(job);
  const { leadDays } = job.house;
  return [...own, ...(leadDays === undefined ? usual : promised(usual, leadDays, job.house.name))];
}

function houseSteps(job: Job): readonly StepNeed[] {
  const press = job.house.press ?? 'offset';
  const finishes = finishesOf(job);
  const run = printRun(job);
  const copies = run && run.copies * run.each;
  const perDay = SHEETS_A_DAY[press];
  const sheets = copies && Math.ceil(copies / upOn(job));
  const printDays = Math.max(1, Math.ceil((sheets ?? 0) / perDay));
  // What is cut apart and bound has its own place; the rest is finishing.
  const done = [...finishes].filter((finish) => finish !== 'trim' && !isBinding(finish));
  const days = Math.max(done.length > MANY ? 2 : 1, Math.ceil((copies ?? 0) / FINISHED_A_DAY));
  const binding = [...finishes].find(isBinding);
  return [
    ...(press === 'offset' || press === 'flexo'
      ? [{ id: 'plates' as const, days: USUAL.plates, why: 'made and hung (common practice)' }]
      : []),
    {
      id: 'print',
      days: printDays,
      why:
        sheets === undefined
          ? 'a day, while no quantity is set'
          : `about ${counted(sheets, 'sheet')}; ${formatCount(perDay)} a day (common practice)`,
    },
    ...(press === 'offset'
      ? [
          {
            id: 'dry' as const,
            days: USUAL.dry[job.stock.kind],
            why: `ink on ${job.stock.kind} paper (common practice)`,
          },
        ]
      : []),
    ...(done.length > 0
      ? [{ id: 'finish' as const, days, why: done.map((one) => FINISH_TITLES[one].toLowerCase()).join(', ') }]
      : []),
    ...(binding
      ? [{ id: 'bind' as const, days: USUAL.bind[binding], why: `${binding} binding (common practice)` }]
      : []),
    { id: 'deliver', days: USUAL.deliver, why: 'on its way' },
  ];
}

const isBinding = (finish: FinishKind): finish is keyof typeof USUAL.bind => Object.hasOwn(USUAL.bind, finish);

/** Of a sheet so much becomes copies, gutters and grippers taken off [cp]. */
const USED = 0.85;

/** About how many copies a sheet gives, by their areas on the largest sheet of the house; of a book, less than one. */
function upOn(job: Job): number {
  const [piece] = job.pieces;
  if (!piece) return 1;
  const area = job.pieces.reduce((sum, one) => sum + paperOf(blankOf(job, one)), 0);
  const sheet = Math.max(...rulesFor(job, piece).sheets.map(({ width, height }) => width * height), 0);
  const up = (USED * sheet) / area;
  return up >= 1 ? Math.floor(up) : up > 0 ? up : 1;
}

/**
 * The steps of a house in the time that it promises: what is left over it needs until it begins; where its days are
 * fewer than is usual, the longest steps take less.
 */
function promised(usual: readonly StepNeed[], leadDays: number, house: string): readonly StepNeed[] {
  const days = usual.map((step) => step.days);
  const total = () => days.reduce((sum, n) => sum + n, 0);
  const spare = leadDays - total();
  const why = `${house || 'the house'} promises ${counted(leadDays, 'working day')}`;
  if (spare >= 0) return spare === 0 ? usual : [{ id: 'queue', days: spare, why: `what is left: ${why}` }, ...usual];
  while (total() > leadDays) {
    const longest = Math.max(...days);
    // Of equal ones the first gives way; what is delivered is delivered on a day of its own as long as it can.
    const at = days.indexOf(longest);
    days[at] = longest - 1;
  }
  return usual.map((step, i) => {
    const given = days[i] ?? 0;
    return given === step.days ? step : { ...step, days: given, why: `${given} of ${step.days}: ${why}` };
  });
}
