import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Job } from '../src/core/job';

const PORT = 4397;
export const BASE = `http://127.0.0.1:${PORT}`;

export const JSON_HEADERS = { origin: BASE, 'content-type': 'application/json' };

/** Begins a job on the server. */
export async function post(job: Job): Promise<void> {
  await fetch(`${BASE}/api/jobs`, {
    method: 'POST',
    headers: JSON_HEADERS,
    body: JSON.stringify({ document: job, label: 'Bench' }),
  });
}

/** The built application, serving data of its own for as long as `work` takes. */
export async function served(
  env: Readonly<Record<string, string>>,
  work: (data: string) => Promise<void>,
): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), 'ys-bench-data-'));
  const server = spawn('npx', ['next', 'start', '-H', '127.0.0.1', '-p', String(PORT)], {
    env: { ...process.env, YS_DATA: data, ...env },
    stdio: 'ignore',
    detached: true,
  });
  const isUp = () =>
    fetch(`${BASE}/api/jobs`).then(
      (answer) => answer.ok,
      () => false,
    );
  try {
    for (let i = 0; i < 100 && !(await isUp()); i += 1) await new Promise((resolve) => setTimeout(resolve, 100));
    await work(data);
  } finally {
    if (server.pid) process.kill(-server.pid, 'SIGKILL');
    rmSync(data, { recursive: true, force: true });
  }
}
