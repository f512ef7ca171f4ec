import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { readJob, type Job } from '../core/job';
import {
  acknowledged,
  contentHash,
  failed,
  isDue,
  isOpen,
  journalOf,
  met,
  mismatched,
  noted,
  requestOf,
  resumed,
  savedAs,
  sent,
  type JournalEntry,
  type Saving,
} from '../core/save';
import { box, makeJob } from '../testing/jobs';
import { createJob, readCurrent, revision } from './jobs';
import { Problem } from './problem';
import { saveSteps } from './save';
import { closeStore, store } from './store/database';

const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-save-'));
process.env['YS_DATA'] = folder;
afterAll(async () => {
  await closeStore();
  rmSync(folder, { recursive: true, force: true });
});

/** A page on which somebody works, the server at the end of a line that may break. */
interface Tab {
  job: Job;
  saving: Saving;
  /** What the browser wrote down. */
  journal: JournalEntry | undefined;
  /** Names of the states that must be found again. */
  readonly wanted: Set<string>;
}

const opened = async (id: string): Promise<Tab> => {
  const { head, job } = await readCurrent(id);
  return { job, saving: savedAs(head, job), journal: undefined, wanted: new Set() };
};

const read = (document: unknown): Job | undefined => {
  const found = readJob(document);
  return found.ok ? found.job : undefined;
};

const withFront = (job: Job, change: (front: Job['pieces'][0]['surfaces'][string]) => unknown[]): Job => {
  const next = structuredClone(job);
  const [piece] = next.pieces;
  if (piece) piece.surfaces['front'] = change(piece.surfaces['front'] ?? []) as typeof piece.surfaces.front & object;
  return next;
};

/** What may be done to a job: its parts come, go, change places, and are changed. */
const EDITS: Readonly<Record<string, (job: Job, n: number) => Job>> = {
  rename: (job, n) => ({ ...job, name: `n${n}` }),
  add: (job, n) => withFront(job, (front) => [...front, box(`e${n}`, [n, 0, 5, 5])]),
  'add beneath': (job, n) => withFront(job, (front) => [box(`e${n}`, [n, 0, 5, 5]), ...front]),
  remove: (job, n) => withFront(job, (front) => front.filter((_, i) => i !== n % Math.max(1, front.length))),
  turn: (job) => withFront(job, (front) => [...front].reverse()),
  fade: (job, n) => withFront(job, (front) => front.map((e, i) => (i === 0 ? { ...e, opacity: (n % 10) / 10 } : e))),
};

const command = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record({
      does: fc.constant('edit'),
      tab: fc.nat(1),
      edit: fc.constantFrom(...Object.keys(EDITS)),
      joins: fc.boolean(),
    }),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      does: fc.constant('save'),
      tab: fc.nat(1),
      line: fc.constantFrom('whole', 'whole', 'broken before', 'broken after'),
    }),
  },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('reload'), tab: fc.nat(1) }) },
  { weight: 1, arbitrary: fc.record({ does: fc.constant('choose'), tab: fc.nat(1), mine: fc.boolean() }) },
);
type Command = typeof command extends fc.Arbitrary<infer C> ? C : never;

const edit = (tab: Tab, name: string, n: number, joins: boolean): void => {
  const job = EDITS[name]?.(tab.job, n) ?? tab.job;
  const last = joins && isOpen(tab.saving) ? tab.saving.pending.at(-1) : undefined;
  const step = { id: last?.id ?? randomUUID(), kind: 'edit', label: name, document: job } as const;
  tab.wanted.add(step.id);
  tab.job = job;
  tab.saving = noted(tab.saving, step, last !== undefined, n);
  tab.journal = journalOf(tab.saving);
};

/** @returns names of the states that were acknowledged */
async function save(id: string, tab: Tab, line: string, now: number): Promise<readonly string[]> {
  if (!isDue(tab.saving)) return [];
  const { saving, request } = sent(tab.saving, now);
  tab.saving = saving;
  try {
    if (line === 'broken before') throw new Error('no answer');
    const answer = await saveSteps(id, structuredClone(request));
    if (line === 'broken after') throw new Error('no answer');
    tab.saving = acknowledged(tab.saving, request.steps.length, answer, now);
    return request.steps.map((s) => s.id);
  } catch (error) {
    if (error instanceof Problem && error.status === 409) {
      const { conflict, head, theirs } = error.details as { conflict: number; head: number; theirs: Job };
      tab.saving = met(tab.saving, { conflict, head, theirs }, now);
    } else if (error instanceof Problem && error.status === 412) tab.saving = mismatched(tab.saving, now);
    else if (error instanceof Problem) throw error;
    else tab.saving = failed(tab.saving, 'no answer', now);
    return [];
  } finally {
    tab.journal = journalOf(tab.saving);
  }
}

/** The page is left and opened again; of what was in it only the journal is left. */
async function reload(id: string, tab: Tab): Promise<void> {
  const fresh = await opened(id);
  const entry = tab.journal && (JSON.parse(JSON.stringify(tab.journal)) as JournalEntry);
  const left = entry && resumed(entry, await revision(id, entry.request.base), read);
  expect(left === undefined).toBe(entry === undefined);
  tab.saving = left ?? fresh.saving;
  tab.job = left?.pending.at(-1)?.document ?? fresh.job;
}

function choose(tab: Tab, mine: boolean, now: number): void {
  const { phase } = tab.saving;
  if (phase.is !== 'conflict') return;
  // Both versions are in the record; what goes on is one state.
  for (const { id } of tab.saving.pending) tab.wanted.delete(id);
  const { job } = tab;
  tab.saving = savedAs(phase.head, phase.theirs);
  tab.job = phase.theirs;
  if (mine) {
    const step = { id: randomUUID(), kind: 'edit', label: 'mine', document: job } as const;
    tab.wanted.add(step.id);
    tab.job = job;
    tab.saving = noted(tab.saving, step, false, now);
  }
  tab.journal = journalOf(tab.saving);
}

test('whatever breaks, in one page or two: nothing acknowledged or done is lost, nothing is kept twice', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 1, max: 2 }),
      fc.array(command, { maxLength: 40 }),
      async (pages, commands: readonly Command[]) => {
        const id = randomUUID();
        await createJob({ ...makeJob([box('a', [0, 0, 10, 10])]), id }, 'Begun');
        const tabs = [await opened(id), await opened(id)].slice(0, pages);
        const acknowledgedIds: string[] = [];
        for (const [n, c] of commands.entries()) {
          const tab = tabs[c.tab];
          if (!tab) continue;
          if ('edit' in c) edit(tab, c.edit, n + 1, c.joins);
          else if ('line' in c) acknowledgedIds.push(...(await save(id, tab, c.line, n + 1)));
          else if ('mine' in c) choose(tab, c.mine, n + 1);
          else await reload(id, tab);
        }
        // The line is whole again.
        for (const tab of tabs)
          for (let i = 0; i < 5 && isDue(tab.saving); i += 1)
            acknowledgedIds.push(...(await save(id, tab, 'whole', 99)));
        const { models } = await store();
        const kept = (await models.revisions.findAll({ where: { jobId: id } })).map((r) => r.step);
        expect(new Set(kept).size).toBe(kept.length);
        expect(acknowledgedIds.filter((step) => !kept.includes(step))).toEqual([]);
        for (const tab of tabs) {
          if (tab.saving.phase.is === 'saved') {
            expect([...tab.wanted].filter((step) => !kept.includes(step))).toEqual([]);
            expect(contentHash(await revision(id, tab.saving.head))).toBe(contentHash(tab.job));
          } else {
            // Alone one meets nobody, whatever the line does.
            expect([pages, tab.saving.phase.is]).toEqual([2, 'conflict']);
            const pending = new Set(tab.saving.pending.map((p) => p.id));
            expect([...tab.wanted].filter((step) => !kept.includes(step) && !pending.has(step))).toEqual([]);
          }
        }
      },
    ),
    { numRuns: 60, seed: 11 },
  );
});

test('one change of a job of 85 kB is sent in under 4 kB, and read back as it was', async () => {
  const many = Array.from({ length: 220 }, (_, i) => box(`b${i}`, [i, i, 10, 10]));
  const job = { ...makeJob(many), id: randomUUID() };
  expect(JSON.stringify(job).length).toBeGreaterThan(85_000);
  await createJob(job, 'Begun');
  const tab = await opened(job.id);
  for (const [n, name] of Object.keys(EDITS).entries()) {
    edit(tab, name, n + 40, false);
    const size = JSON.stringify(requestOf(tab.saving)).length;
    // Turned around, every part is named.
    expect([name, size < (name === 'turn' ? 20_000 : 4_000) || size]).toEqual([name, true]);
    await save(job.id, tab, 'whole', 1);
    expect((await readCurrent(job.id)).job).toEqual(tab.job);
  }
});

test('a save to a job that is not there says so', async () => {
  const steps = [{ id: 'step-0001', kind: 'edit', label: 'Edit', change: { as: 'whole', document: {} } } as const];
  await expect(saveSteps('nobody', { base: 1, hash: '0'.repeat(64), steps: [...steps] })).rejects.toMatchObject({
    status: 404,
    message: 'There is no such job.',
  });
});

test('changes of another state than the one that is kept are sent again with all of it', async () => {
  const id = randomUUID();
  await createJob({ ...makeJob([box('a', [0, 0, 10, 10])]), id }, 'Begun');
  const tab = await opened(id);
  tab.saving = { ...tab.saving, base: { ...tab.job, client: 'Somebody else' }, hash: contentHash({}) };
  edit(tab, 'rename', 1, false);
  await save(id, tab, 'whole', 1);
  expect(tab.saving.phase.is).toBe('waiting');
  await save(id, tab, 'whole', 2);
  expect(tab.saving.phase.is).toBe('saved');
  expect((await readCurrent(id)).job).toEqual(tab.job);
});
