import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Job } from '../src/core/job';
import { openDesk } from '../src/output';
import { copiesRequest } from '../src/output/press-copies';
import { pdfParts, type PdfPage, type PdfRequest } from '../src/paint/pdf';
import { demoPiece } from '../src/testing/demo';
import { note, once, times } from './report';

const AT = new Date('2026-05-01T09:00:00Z');

const withCopies = (job: Job, count: number): Job =>
  job.records?.from === 'count' ? { ...job, records: { ...job.records, count } } : job;

/** Ten thousand labels with a code each: their memory beside a thousand, their time beside the writer’s. */
export async function labels(): Promise<void> {
  const { job, assets } = await demoPiece('loan-labels');
  const [few, many] = [1_000, 10_000].map((count) => peakOf(withCopies(job, count)));
  note('memory of 10,000 labels (wanted: within 10 % of 1,000)', kb(many), kb(few), times(many ?? 0, few ?? 1));

  const desk = await openDesk(withCopies(job, 10_000), assets);
  const whole = await once(async () => drained(await copiesRequest(desk, AT, () => undefined)));
  // The same pages, drawn before: what is left is the writer.
  const { further, ...request } = await copiesRequest(desk, AT, () => undefined);
  const pages: PdfPage[] = [];
  for await (const page of further?.pages ?? []) pages.push(page);
  const bare = await once(() => drained({ ...request, pages }));
  const seconds = (ms: number) => `${(ms / 1000).toFixed(1)} s`;
  note(
    '10,000 labels drawn and written (wanted: 1.5 × the writer alone)',
    seconds(whole),
    seconds(bare),
    times(whole, bare),
  );
}

const kb = (n: number | undefined): string => `${Math.round((n ?? 0) / 1024)} MB`;

async function drained(request: PdfRequest): Promise<void> {
  for await (const part of pdfParts(request)) if (part.length < 0) throw new Error('no part');
}

/** The most memory that the program took to make the labels, kB. */
function peakOf(job: Job): number {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-'));
  try {
    const path = join(folder, 'labels.ysjob.json');
    execFileSync(process.execPath, ['dist/ys.mjs', 'demo', 'loan-labels', '--out', folder], { stdio: 'ignore' });
    writeFileSync(path, JSON.stringify(job));
    const said = 'data:text/javascript,process.on("exit",()=>console.error("peak",process.resourceUsage().maxRSS))';
    const { stderr } = spawnSync(
      process.execPath,
      ['--import', said, 'dist/ys.mjs', 'export', path, '--to', 'press', '--out', folder, '--unchecked'],
      { encoding: 'utf8', env: { ...process.env, YS_HOME: process.cwd() } },
    );
    return Number(/peak (\d+)/.exec(stderr)?.[1]);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
