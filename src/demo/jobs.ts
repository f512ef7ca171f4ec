import { formatOf } from '../core/format';
import { startJob, takeHouse, type Job } from '../core/job';
import type { JobUnit } from '../core/measure';
import { SHIPPED_PAPERS, SHIPPED_PRINTERS } from '../core/shop';

interface Begun {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  readonly set: Readonly<Record<string, string>>;
  readonly unit?: JobUnit;
  readonly printer?: string;
  readonly paper?: string;
  readonly due: string;
  readonly quantity: number;
}

/** Jobs that the society has only begun: a size and a brief, nothing laid out yet. */
const BEGUN: readonly Begun[] = [
  {
    id: 'open-day',
    name: 'Observatory open day',
    kind: 'flyer',
    set: { size: 'A6' },
    due: '2027-01-20',
    quantity: 5000,
  },
  {
    id: 'winter-talks',
    name: 'Winter talks handbill',
    kind: 'flyer',
    set: { size: 'half letter' },
    unit: 'in',
    due: '2027-02-05',
    quantity: 800,
  },
  {
    id: 'disc-sleeve',
    name: 'Moor at night, field recordings',
    kind: 'disc-sleeve',
    set: { panel: '130x184mm', spine: '13mm' },
    paper: 'Stillwater silk 250',
    due: '2027-03-20',
    quantity: 300,
  },
  {
    id: 'red-lamp-box',
    name: 'Red lamp box',
    kind: 'tuck-box',
    set: { width: '60mm', height: '90mm', depth: '25mm' },
    paper: 'Tarn board 300',
    due: '2027-05-03',
    quantity: 500,
  },
];

export const begun = (): readonly Job[] =>
  BEGUN.flatMap(({ id, name, kind, set, unit = 'mm', printer, paper, due, quantity }): Job[] => {
    const format = formatOf(kind);
    const house = SHIPPED_PRINTERS.find((p) => p.name === printer);
    const stock = SHIPPED_PAPERS.find((p) => p.name === paper);
    const started =
      format &&
      startJob(format, set, { id: `demo-${id}`, name, unit }, { ...(stock && { stock }), ...(house && { house }) });
    if (!started?.ok) throw new Error(`The demo’s ${name} is not begun: ${started ? started.error.message : kind}`);
    const job = house ? takeHouse(started.job, house) : started.job;
    return [{ ...job, client: 'Quillrook Dark-Sky Society', due, quantity, stage: 'brief' }];
  });
