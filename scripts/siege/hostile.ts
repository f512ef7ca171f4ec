import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { OwnServer } from '../../e2e/own-server';
import { hostileThings, type Hostile } from '../../src/testing/hostile';
import { REST, Somebody, eachOf, leavings, memoryOf, pause, type Found } from './watch';

/** Longest that any answer may take, ms. */
export const LONGEST = 30_000;
/** How many of the slowest are told by name. */
const SLOWEST_TOLD = 10;

interface Answer {
  readonly status: number;
  readonly ms: number;
  readonly text: string;
}

async function asked(url: string, init: RequestInit): Promise<Answer> {
  const at = Date.now();
  try {
    const answer = await fetch(url, { ...init, signal: AbortSignal.timeout(2 * LONGEST) });
    return { status: answer.status, text: await answer.text(), ms: Date.now() - at };
  } catch (error) {
    return { status: 0, text: String(error), ms: Date.now() - at };
  }
}

/** Sends one thing, and where it was taken in asks for everything that is drawn of it. */
async function send(base: string, { way, name, bytes }: Hostile): Promise<readonly Answer[]> {
  const headers = { origin: base };
  const body = Uint8Array.from(bytes);
  switch (way) {
    case 'address':
      return [await asked(`${base}${name}`, { headers })];
    case 'asset': {
      const taken = await asked(`${base}/api/assets?name=${encodeURIComponent(name)}`, {
        method: 'POST',
        headers,
        body,
      });
      const { sha, asset } =
        taken.status === 200 ? (JSON.parse(taken.text) as { sha: string; asset: { kind: string } }) : {};
      const views: Readonly<Record<string, readonly string[]>> = {
        picture: [
          'bench?profile=coated-fogra39',
          'inks?profile=coated-fogra39&width=300',
          'colours',
          'shapes?by=dark&threshold=50',
        ],
        drawing: ['drawing'],
        font: ['font'],
        document: ['page/1'],
      };
      const more = await Promise.all(
        (views[asset?.kind ?? ''] ?? []).map((view) => asked(`${base}/api/assets/${sha}/${view}`, { headers })),
      );
      return [taken, ...more];
    }
    case 'import':
    case 'state': {
      const taken =
        way === 'import'
          ? await asked(`${base}/api/import`, { method: 'POST', headers, body })
          : await asked(`${base}/api/jobs`, {
              method: 'POST',
              headers: { ...headers, 'content-type': 'application/json' },
              body: `{"label":"Begun","document":${new TextDecoder().decode(body)}}`,
            });
      if (taken.status !== 200) return [taken];
      const { id } = JSON.parse(taken.text) as { id: string };
      const views = [`${id}/thumbnail?rev=1`, `${id}/checks?rev=1`, id];
      return [taken, ...(await Promise.all(views.map((view) => asked(`${base}/api/jobs/${view}`, { headers }))))];
    }
    case 'events':
    case 'rows':
    case 'outline':
      return [];
  }
}

/** What answers must not be: an error of the program, or silence. */
const isError = ({ status }: Answer): boolean => status === 0 || status === 500;

/** Hostile things sent to a server. @param share 1 sends all of them, 0.1 every tenth */
export async function hostileAtServer(share = 1): Promise<Found> {
  const data = mkdtempSync(join(tmpdir(), 'yellow-sheet-siege-'));
  const server = await OwnServer.on({ YS_DATA: data }, true);
  const every = Math.round(1 / share);
  const things = (await hostileThings())
    .filter(({ way }) => !['events', 'rows', 'outline'].includes(way))
    .filter((_, i) => i % every === 0);
  const before = memoryOf(server.pid);
  const somebody = new Somebody(server.base);
  const notes: string[] = [];
  const all: Answer[] = [];
  const slow: { what: string; ms: number }[] = [];
  const waiting = Date.now();
  await eachOf(things, 3, async (thing) => {
    const answers = await send(server.base, thing);
    all.push(...answers);
    slow.push({ what: thing.what, ms: Math.max(...answers.map((a) => a.ms)) });
    const bad = answers.find((a) => isError(a) || a.ms > LONGEST);
    if (bad) notes.push(`${thing.what}: ${bad.status} after ${bad.ms} ms, ${bad.text.slice(0, 120)}`);
    const wordless = answers.find(
      (a) => a.status >= 400 && a.status !== 405 && !/<html|"message":"[^"]{8,}","todo":"[^"]{8,}"/.test(a.text),
    );
    if (wordless) notes.push(`${thing.what}: ${wordless.status} without words, ${wordless.text.slice(0, 120)}`);
  });
  notes.push(
    `${all.filter((a) => a.status < 400).length} of ${all.length} answers gave something, in ` +
      `${Math.round((Date.now() - waiting) / 1000)} s`,
  );
  for (const { what, ms } of slow.sort((a, b) => b.ms - a.ms).slice(0, SLOWEST_TOLD)) notes.push(`${ms} ms: ${what}`);
  await somebody.end();
  await pause(share === 1 ? REST : 0);
  const memory = share === 1 ? memoryOf(server.pid) - before : 0;
  const isAlive = (await asked(`${server.base}/api/jobs`, {})).status === 200;
  const left = leavings(data);
  await server.kill();
  rmSync(data, { recursive: true, force: true });
  return {
    part: 'hostile files and addresses',
    tried: things.length,
    lost: 0,
    crashes: (isAlive ? 0 : 1) + somebody.failures,
    errors: all.filter(isError).length,
    slowest: Math.max(...all.map((a) => a.ms)),
    others: somebody.slowest,
    left: left.length,
    memory,
    notes: [...notes, ...left],
  };
}
