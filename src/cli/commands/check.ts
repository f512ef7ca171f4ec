import type { Arguments } from '../arguments';
import { openJob } from '../job-file';
import { print } from '../say';

/** Findings: of the files that the job speaks of, and of what is drawn with them. */
export async function run(args: Arguments): Promise<number> {
  const { job, assets } = await openJob(args);
  const { checkJob } = await import('../../output');
  const findings = await checkJob(job, assets);
  print(findings.map(({ fixes, ...finding }) => ({ ...finding, fix: fixes.map((fix) => fix.label) })));
  return findings.length > 0 ? 1 : 0;
}
