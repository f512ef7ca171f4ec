import { rowsOfFile } from '@/bring-in/data';
import type { Rows } from '@/core/records';
import { refused } from '../problems';
import { fileOf } from './kept';

/** The rows of a file of records. */
export async function dataRows({ sha }: { readonly sha: string }): Promise<{ readonly rows: Rows }> {
  const read = rowsOfFile(await fileOf(sha, 'file of records'));
  if (!read.ok) throw refused.rows(read.problem);
  return { rows: read.rows };
}
