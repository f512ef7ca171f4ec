import { readPaint, type Job } from '../job';
import { readRows } from '../data';
import { withSwatch } from './inks';

/** Most colours that a file may bring. */
const MOST = 300;
const LONGEST_NAME = 60;

/**
 * A job with the colours of a file of comma-, semicolon- or tab-separated values: a name and a colour on each row, the
 * colour as it is written in a field, or its four inks in columns of their own. A name that is there already takes the
 * file’s colour; a first row without a colour says what the columns are.
 * @returns the job, or in words what is wrong and in which row
 */
export function withSwatchesOf(job: Job, text: string): Job | string {
  const read = readRows(text, { rows: MOST });
  if (!read.ok) return read.problem;
  let next = job;
  for (const [i, [name = '', ...rest]] of read.rows.entries()) {
    const words = rest.join(' ').trim();
    const paint = readPaint(words, { inks: job.inks });
    if (!paint.ok && i === 0) continue;
    if (!paint.ok) return `Row ${i + 1}, “${words}”: ${paint.error.message}`;
    if (name === '' || name.length > LONGEST_NAME)
      return `Row ${i + 1} has no name of 1 to ${LONGEST_NAME} letters in its first column.`;
    if (paint.value.kind === 'swatch') return `Row ${i + 1} names a colour by another name; write its inks.`;
    const before = (next.swatches ?? []).find((s) => s.name === name)?.name;
    next = withSwatch(next, { name, paint: paint.value }, before);
  }
  return next === job ? 'There is no colour in it.' : next;
}
