import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { seededRandom, truncatedNormal } from '../src/core/chance';
import { checkSurface } from '../src/core/check';
import { COPIES, SEED, borderOf, chanceOfCut, driftSide, drawCopies } from '../src/core/drift';
import { blankOf, rulesFor } from '../src/core/job';
import { centreOf } from '../src/core/layout';
import { replyTo } from '../src/intake';
import { exportJob, gathered, openDesk } from '../src/output';
import { inMemory, makeJob } from '../src/testing/jobs';
import { crowdedPage, manyPages } from './pages';
import { mean, ms, note, once, times } from './report';

/** The machines’ thousand copies of a crowded side, and what a print house takes to read a hundred pages. */
export async function machines(): Promise<void> {
  await copies(500);
  await intake(100);
}

async function copies(count: number): Promise<void> {
  const job = makeJob(crowdedPage(count));
  const { sides } = await openDesk(job, inMemory());
  const [side] = sides;
  const [piece] = job.pieces;
  if (!side || !piece) throw new Error('no side');
  const blank = blankOf(job, piece);
  const rules = rulesFor(job, piece);
  const work = () => {
    const drift = driftSide({ blank, drawing: side.drawing, rules, press: undefined });
    if (!drift) throw new Error('no side');
    const drawn = drawCopies(drift.line, { copies: COPIES, seed: SEED });
    for (const frame of side.drawing.frames) {
      borderOf(drift, frame.ink);
      for (const edge of ['top', 'right', 'bottom', 'left'] as const)
        chanceOfCut(drift, edge, centreOf(frame.ink), 1, 'in');
    }
    return drawn.length;
  };
  const ours = await mean(work);
  const random = seededRandom(SEED);
  const floor = await mean(() => {
    for (let i = 0; i < COPIES * 4; i += 1) truncatedNormal(random);
  });
  note(
    `1,000 copies of a side with ${count} elements, each edge and border asked (wanted: under 1 s; floor: the random ` +
      'numbers alone)',
    ms(ours),
    ms(floor),
    times(ours, floor),
  );
  const checked = await mean(() => checkSurface(job, piece, side.surface.name, side.drawing, { blank }));
  note(`… and checked by every rule`, ms(checked));
}

async function intake(pages: number): Promise<void> {
  const [width, height] = [1819, 1100];
  const bytes = await sharp({ create: { width, height, channels: 3, background: '#27408c' } })
    .jpeg({ quality: 88 })
    .toBuffer();
  const sha = 'd'.repeat(64);
  const assets = inMemory(new Map([[sha, new Uint8Array(bytes)]]));
  const job = manyPages(pages, sha, width, height);
  const [made] = await exportJob({ job, assets, kind: 'press', at: new Date('2026-05-01T09:00:00Z') });
  if (!made) throw new Error('no file');
  const file = await gathered(made);
  const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-'));
  try {
    const path = join(folder, 'f.pdf');
    writeFileSync(path, file.bytes);
    const ours = await once(() => replyTo(file.bytes, job.house));
    const theirs = await once(() =>
      Promise.resolve(
        execFileSync('mutool', ['trace', path, '1-N'], { maxBuffer: 1 << 30, stdio: ['ignore', 'pipe', 'ignore'] }),
      ),
    );
    note(
      `intake of ${pages} pages (wanted: under 5 s; floor: mutool’s trace of the same file)`,
      ms(ours),
      ms(theirs),
      times(ours, theirs),
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
