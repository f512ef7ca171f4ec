import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { OwnServer } from '../../e2e/own-server';
import { box, makeJob } from '../../src/testing/jobs';
import { REST, Somebody, leavings, memoryOf, pause, type Found } from './watch';

/**
 * Many people at once: each saves a job of their own again and again; meanwhile exports are asked for, and half of them
 * stopped.
 */
export async function crowd(writers: number, saves: number, exports: number): Promise<Found> {
  const data = mkdtempSync(join(tmpdir(), 'yellow-sheet-siege-'));
  const server = await OwnServer.on({ YS_DATA: data }, true);
  const { base } = server;
  const json = { origin: base, 'content-type': 'application/json' };
  const notes: string[] = [];
  const times: number[] = [];
  let errors = 0;
  let lost = 0;
  const ask = async <T>(path: string, init?: RequestInit): Promise<T | undefined> => {
    const at = Date.now();
    const answer = await fetch(`${base}${path}`, init).catch(() => undefined);
    times.push(Date.now() - at);
    if (!answer?.ok) errors += 1;
    return answer?.ok ? ((await answer.json()) as T) : undefined;
  };
  const document = (id: string, n: number) => ({ ...makeJob([box('b', [1, 1, 9, 9])]), id, name: `r${n}` });
  const begin = (id: string) =>
    ask('/api/jobs', {
      method: 'POST',
      headers: json,
      body: JSON.stringify({ document: document(id, 1), label: 'Begun' }),
    });
  const write = async (id: string, count: number): Promise<void> => {
    let head = 1;
    for (let n = 0; n < count; n += 1) {
      const change = { as: 'whole', document: document(id, head + 1) };
      const steps = [{ id: randomUUID(), kind: 'edit', label: 'Edit', change }];
      const said = await ask<{ head: number }>(`/api/jobs/${id}/revisions`, {
        method: 'POST',
        headers: json,
        body: JSON.stringify({ base: head, hash: '0'.repeat(64), steps }),
      });
      head = said?.head ?? head;
    }
    const now = await ask<{ head: number; job: { name: string } }>(`/api/jobs/${id}`);
    if (now?.head !== head || now.job.name !== `r${head}`) lost += 1;
  };
  for (let w = 0; w < writers; w += 1) await begin(`w${w}`);
  // Measured from a server that has done some of it: what it loads for its first save is its own.
  await begin('warm');
  await write('warm', saves);
  const before = memoryOf(server.pid);
  times.length = 0;
  const somebody = new Somebody(base);
  await Promise.all(Array.from({ length: writers }, (_, w) => write(`w${w}`, saves)));
  const slowest = Math.max(...times);
  const sorted = [...times].sort((a, b) => a - b);
  notes.push(
    `${writers} writers, ${times.length} answers, half within ${sorted[Math.floor(times.length / 2)] ?? 0} ` +
      `ms, 95 % within ${sorted[Math.floor(times.length * 0.95)] ?? 0} ms`,
  );

  const made = await Promise.all(
    Array.from({ length: exports }, (_, i) =>
      ask<{ id: string }>(`/api/jobs/w${i % writers}/exports`, {
        method: 'POST',
        headers: json,
        body: JSON.stringify({ kind: i % 5 === 0 ? 'press' : 'working' }),
      }),
    ),
  );
  await pause(300);
  for (const [i, row] of made.entries())
    if (row && i % 2 === 1) await ask(`/api/exports/${row.id}`, { method: 'DELETE', headers: { origin: base } });
  const states = new Map<string, number>();
  for (const row of made) {
    let state = '';
    for (let i = 0; i < 600 && !['done', 'failed', 'cancelled'].includes(state); i += 1) {
      if (i > 0) await pause(200);
      state = (await ask<{ state: string }>(`/api/exports/${row?.id ?? ''}`))?.state ?? '';
    }
    states.set(state, (states.get(state) ?? 0) + 1);
  }
  notes.push(`exports: ${[...states].map(([state, count]) => `${count} ${state}`).join(', ')}`);
  if ([...states.keys()].some((state) => state !== 'done' && state !== 'cancelled')) lost += 1;
  await somebody.end();
  await pause(REST);
  const memory = memoryOf(server.pid) - before;
  const left = leavings(data);
  await server.kill();
  rmSync(data, { recursive: true, force: true });
  return {
    part: `${writers} writers, ${exports} exports`,
    tried: writers * saves + exports,
    lost,
    crashes: somebody.failures,
    errors,
    slowest,
    others: somebody.slowest,
    left: left.length,
    memory,
    notes: [...notes, ...left],
  };
}
