import { drawnCopies, type DrawnCopy, type Finding } from '../core/check';
import { elementsOf, type Element } from '../core/job';
import { recordName, type RecordSet } from '../core/records';
import { counted } from '../core/measure';
import { CannotExport } from './cannot-export';
import type { Desk } from './desk';

export type DrawnRecord = DrawnCopy;

/** The records of a desk. @throws CannotExport where there are none */
export function recordsOf({ records }: Desk): RecordSet {
  if (!records) throw new CannotExport('The file of the records is missing or damaged. Bring it in again.');
  return records;
}

/** Ids of the elements that each copy has of its own. */
export function differing({ document, job }: Pick<Desk, 'document' | 'job'>): ReadonlySet<string> {
  const written = new Set<Element>(document.pieces.flatMap((piece) => elementsOf(piece).map(({ element }) => element)));
  const filled = job.pieces.flatMap((piece) => elementsOf(piece).map(({ element }) => element));
  return new Set(filled.flatMap((element) => (written.has(element) ? [] : [element.id])));
}

/** The copies of a desk, drawn one after the other: see `drawnCopies`. */
export const drawnRecords = (desk: Desk, order?: Iterable<number>): Generator<DrawnRecord, void> =>
  drawnCopies({ ...desk, records: recordsOf(desk) }, order);

/** Faults that are told at once; of more their number is. */
const TOLD = 20;

/** Gathers what is wrong with copies, so that all of it is told and no file is made. */
export class RecordFaults {
  private readonly said: string[] = [];
  private count = 0;

  constructor(private readonly desk: Pick<Desk, 'document'>) {}

  take({ index, findings }: DrawnRecord): void {
    for (const { severity, message } of findings) {
      if (severity !== 'fault') continue;
      this.count += 1;
      if (this.said.length < TOLD) this.said.push(`${recordName(this.desk.document, index)}: ${message}`);
    }
  }

  get any(): boolean {
    return this.count > 0;
  }

  /** @throws CannotExport where anything was wrong */
  refuse(): void {
    if (this.count === 0) return;
    const more = this.count > TOLD ? ` ${counted(this.count - TOLD, 'fault')} more.` : '';
    throw new CannotExport(`${this.said.join(' ')}${more}`);
  }
}

/** Findings of every copy, each named with its row; the first ones of very many. */
export function checkRecords(desk: Desk, most = 100): readonly Finding[] {
  if (!desk.records) return [];
  const found: Finding[] = [];
  for (const { index, findings } of drawnRecords(desk)) {
    // The first is told by the check of the job.
    if (index > 0)
      found.push(
        ...findings.map((finding) => ({
          ...finding,
          message: `${recordName(desk.document, index)}: ${finding.message}`,
          fixes: [],
        })),
      );
    if (found.length >= most) break;
  }
  return found.slice(0, most);
}
