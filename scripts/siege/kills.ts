import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { OwnServer } from '../../e2e/own-server';
import { box, makeJob } from '../../src/testing/jobs';
import { numbers } from '../../src/testing/hostile/spoil';
import { sha256 } from '../../src/testing/hostile/sha256';
import { examine } from '../../src/upkeep';
import { isAlive, leavings, pause, processTree, type Found } from './watch';

/** How often the server is killed, and in the midst of what. */
export interface Kills {
  readonly saving: number;
  readonly uploading: number;
  readonly exporting: number;
  readonly firstStart: number;
}

/** Jobs that are saved at the same time, each by somebody. */
const FIRST = 'one';
const WRITERS: readonly string[] = [FIRST, 'two', 'three'];

const next = numbers(20261129);

const fetched = async <T>(url: string, init?: RequestInit): Promise<T | undefined> => {
  try {
    const answer = await fetch(url, init);
    return answer.ok ? ((await answer.json()) as T) : undefined;
  } catch {
    return undefined;
  }
};

/** The server is killed at any moment, over and over; what it acknowledged has to be there, and nothing half done. */
export async function kills(counts: Kills): Promise<Found> {
  const data = mkdtempSync(join(tmpdir(), 'yellow-sheet-siege-'));
  const server = await OwnServer.on({ YS_DATA: data }, true);
  const { base } = server;
  const json = { origin: base, 'content-type': 'application/json' };
  const notes: string[] = [];
  let lost = 0;
  let left = 0;
  let acknowledged = 0;

  const killed = async (work: Promise<unknown>, after: number): Promise<void> => {
    await pause(after);
    const tree = processTree(server.pid);
    await server.kill();
    await work;
    // What it started sees within a moment that it is gone.
    for (let i = 0; i < 50 && tree.some(isAlive); i += 1) await pause(100);
    left += tree.filter(isAlive).length;
    await server.start();
  };

  /** The newest revision of each job that was acknowledged. */
  const heads = new Map(WRITERS.map((id) => [id, 1]));
  const document = (id: string, number: number) => ({
    ...makeJob([box('b', [1, 1, 9, 9])]),
    id,
    name: `r${number}`,
  });
  for (const id of WRITERS)
    await fetch(`${base}/api/jobs`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ document: document(id, 1), label: 'Begun' }),
    });
  /** Saves a job once more. @returns whether that was acknowledged */
  const save = async (id: string): Promise<boolean> => {
    const head = heads.get(id) ?? 1;
    const change = { as: 'whole', document: document(id, head + 1) };
    const said = await fetched<{ head?: number }>(`${base}/api/jobs/${id}/revisions`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({
        base: head,
        hash: '0'.repeat(64),
        steps: [{ id: randomUUID(), kind: 'edit', label: 'Edit', change }],
      }),
    });
    if (said?.head === undefined) return false;
    heads.set(id, said.head);
    acknowledged += 1;
    return true;
  };
  const saveOn = async (id: string): Promise<void> => {
    while (await save(id));
  };
  for (let round = 0; round < counts.saving; round += 1) {
    // Killed a while after saves that went through: on a slow machine as on a fast one, in the midst of the next.
    await Promise.all(WRITERS.map(save));
    await killed(Promise.all(WRITERS.map(saveOn)), next() * 400);
    for (const id of WRITERS) {
      const head = heads.get(id) ?? 1;
      const now = await fetched<{ head: number; job: { name: string } }>(`${base}/api/jobs/${id}`);
      // One may have been kept without its answer arriving; none that was answered may be missing.
      if (!now || now.head < head || now.head > head + 1 || now.job.name !== `r${now.head}`) {
        lost += 1;
        notes.push(`after ${head} acknowledged saves the server has ${now?.head ?? 'nothing'}`);
      }
      heads.set(id, now?.head ?? head);
    }
  }

  const kept = new Set<string>();
  for (let round = 0; round < counts.uploading; round += 1) {
    const uploading = (async () => {
      for (let i = 0; i < 20; i += 1) {
        const bytes = await sharp({
          create: { width: 600, height: 400, channels: 3, noise: { type: 'gaussian', mean: 128, sigma: 30 + next() } },
        } as never)
          .png()
          .toBuffer();
        const said = await fetched<{ sha: string }>(`${base}/api/assets?name=n.png`, {
          method: 'POST',
          headers: { origin: base },
          body: Uint8Array.from(bytes),
        });
        if (!said) return;
        if (said.sha !== sha256(bytes)) notes.push('a picture came back under another hash');
        kept.add(said.sha);
        acknowledged += 1;
      }
    })();
    await killed(uploading, 50 + next() * 900);
  }
  const there = new Set(readdirSync(join(data, 'assets')));
  for (const sha of kept) if (!there.has(sha)) lost += 1;

  for (let round = 0; round < counts.exporting; round += 1) {
    const made = await fetched<{ id: string }>(`${base}/api/jobs/${FIRST}/exports`, {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ kind: 'press' }),
    });
    await killed(Promise.resolve(), 20 + next() * 900);
    // It goes on by itself after the start.
    let state = '';
    for (let i = 0; i < 300 && !['done', 'failed', 'cancelled'].includes(state); i += 1) {
      await pause(100);
      state = (await fetched<{ state: string }>(`${base}/api/exports/${made?.id ?? ''}`))?.state ?? '';
    }
    if (state === 'done') acknowledged += 1;
    else notes.push(`an export that was killed ended as “${state}”`);
  }
  await server.kill();
  const { ills, end } = await examine(data, new Date());
  await end();
  notes.push(...ills.map((ill) => ill.message), ...leavings(data));
  rmSync(data, { recursive: true, force: true });

  for (let round = 0; round < counts.firstStart; round += 1) {
    const first = mkdtempSync(join(tmpdir(), 'yellow-sheet-siege-'));
    const demo = await OwnServer.begun({ YS_DATA: first, YS_DEMO: '1' }, true);
    await pause(300 + next() * 6_000);
    await demo.kill();
    await demo.start();
    const found = await fetched<{ jobs: readonly { id: string; name: string }[] }>(`${demo.base}/api/jobs`);
    const ids = new Set(found?.jobs.map((job) => job.id));
    if (ids.size !== found?.jobs.length || ids.size < 20) {
      lost += 1;
      notes.push(
        `after an interrupted first start there are ${found?.jobs.length ?? 0} jobs, ${ids.size} of them different`,
      );
    }
    await demo.kill();
    rmSync(first, { recursive: true, force: true });
  }
  const tried = counts.saving + counts.uploading + counts.exporting + counts.firstStart;
  notes.unshift(`${acknowledged} acknowledged`);
  return { part: 'SIGKILL', tried, lost, crashes: 0, errors: 0, slowest: 0, others: 0, left, memory: 0, notes };
}
