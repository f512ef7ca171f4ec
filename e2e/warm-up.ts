import { cp } from 'node:fs/promises';
import { join } from 'node:path';
import { PORTS, dataOf } from '../playwright.config';

/**
 * The board’s pictures are drawn once, before the tests, which then find the servers at rest: each server draws its
 * share, and what was drawn is known by its hash to all of them.
 */
export default async function warmUp(): Promise<void> {
  await Promise.all(PORTS.map((port, i) => draw(port, (n) => n % PORTS.length === i)));
  for (const from of PORTS)
    for (const to of PORTS)
      if (from !== to)
        await cp(join(dataOf(from), 'cache'), join(dataOf(to), 'cache'), { recursive: true, force: false });
}

async function draw(port: number, isMine: (n: number) => boolean): Promise<void> {
  const base = `http://127.0.0.1:${port}/api/jobs`;
  const { jobs } = (await (await fetch(base)).json()) as { jobs: { id: string; head: number }[] };
  const mine = jobs.toSorted((a, b) => a.id.localeCompare(b.id)).filter((_, n) => isMine(n));
  for (const { id, head } of mine)
    for (const view of ['thumbnail', 'checks']) await (await fetch(`${base}/${id}/${view}?rev=${head}`)).arrayBuffer();
}
