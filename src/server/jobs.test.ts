import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { box, makeJob } from '../testing/jobs';
import { conflictVersion, listConflicts, settleConflict } from './conflicts';
import { createJob, keepStanding, listJobs, listRevisions, readCurrent, revision, setRemoved } from './jobs';
import { contentHash, type RevisionKind } from '../core/save';
import { lessonsFor } from './lessons';
import { Problem } from './problem';
import { saveSteps } from './save';
import { changeSeveral } from './several';
import { closeStore, store } from './store/database';

const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-store-'));
process.env['YS_DATA'] = folder;
afterAll(async () => {
  await closeStore();
  rmSync(folder, { recursive: true, force: true });
});

const named = (id: string, name: string) => ({ ...makeJob([box('a', [0, 0, 10, 10])]), id, name });
const step = (id: string, name: string, kind: RevisionKind = 'edit') => ({
  id: randomUUID(),
  kind,
  label: name,
  change: { as: 'whole', document: named(id, name) } as const,
});
/** States sent whole, on top of a revision. */
const save = (id: string, base: number, steps: readonly ReturnType<typeof step>[]) =>
  saveSteps(id, { base, hash: contentHash({}), steps: [...steps] });

test('a job is begun, saved and read back; the board shows what it says now', async () => {
  await createJob(named('one', 'First'), 'Begun');
  expect(await save('one', 1, [step('one', 'Second'), step('one', 'Third')])).toMatchObject({ head: 3 });
  const { job, head, undo } = await readCurrent('one');
  expect([job.name, head, undo]).toEqual(['Third', 3, [1, 2]]);
  expect((await listJobs()).find((j) => j.id === 'one')).toMatchObject({ name: 'Third', head: 3, size: 'A5' });
  expect((await revision('one', 1)).name).toBe('First');
});

test('the board says who prints how many, and how the newest state stands once it was checked', async () => {
  const job = { ...named('board', 'Board'), quantity: 500 };
  await createJob({ ...job, house: { ...job.house, name: 'Copperplate Yard' } }, 'Begun');
  const shown = async () => (await listJobs()).find((j) => j.id === 'board');
  expect(await shown()).toMatchObject({ printer: 'Copperplate Yard', quantity: 500, standing: null });
  const { updatedAt } = (await shown()) ?? {};
  const standing = { faults: 1, warnings: 2, first: 'It ends at the trim.' };
  await keepStanding('board', 1, standing);
  expect(await shown()).toMatchObject({ standing, updatedAt });
  // What was found in an earlier state says nothing of this one.
  await save('board', 1, [step('board', 'Board')]);
  await keepStanding('board', 1, standing);
  expect(await shown()).toMatchObject({ head: 2, standing: null });
});

test('several jobs are given facts at once; one that is gone, or cannot be, keeps no other back', async () => {
  for (const id of ['s1', 's2']) await createJob(named(id, id), 'Begun');
  const answer = await changeSeveral({ ids: ['s1', 'nowhere', 's2'], facts: { stage: 'sent' }, label: 'Sent' });
  expect(answer).toEqual({
    changed: [
      { id: 's1', head: 2 },
      { id: 's2', head: 2 },
    ],
    refused: [{ id: 'nowhere', message: 'There is no such job.' }],
  });
  for (const id of ['s1', 's2'])
    expect((await listJobs()).find((j) => j.id === id)).toMatchObject({ stage: 'sent', head: 2 });
  const { refused } = await changeSeveral({ ids: ['s1'], facts: { stage: 'lost at sea' }, label: 'Lost' });
  expect(refused.map(({ id }) => id)).toEqual(['s1']);
  expect(refused[0]?.message).toMatch(/stage/);
  // Each is a revision of its job, which can be undone there.
  expect(await readCurrent('s1')).toMatchObject({ head: 2, undo: [1] });
});

test('revisions only grow: undo is one of them, and every state can be had back', async () => {
  await createJob(named('two', 'A'), 'Begun');
  await save('two', 1, [step('two', 'B')]);
  await save('two', 2, [step('two', 'A', 'undo')]);
  const log = await listRevisions('two');
  expect(log.map((r) => [r.number, r.kind])).toEqual([
    [3, 'undo'],
    [2, 'edit'],
    [1, 'edit'],
  ]);
  expect(log[0]?.hash).toBe(log[2]?.hash);
  expect(await readCurrent('two')).toMatchObject({ undo: [], redo: [2] });
});

test('a save on an old base is refused with both versions, and overwrites nothing', async () => {
  await createJob(named('three', 'Base'), 'Begun');
  await save('three', 1, [step('three', 'Theirs')]);
  const refused = await save('three', 1, [step('three', 'Mine')]).catch((e: unknown) => e);
  expect(refused).toBeInstanceOf(Problem);
  if (!(refused instanceof Problem)) return;
  expect(refused.status).toBe(409);
  expect(refused.details).toMatchObject({ head: 2, theirs: { name: 'Theirs' }, mine: { name: 'Mine' } });
  expect((await readCurrent('three')).job.name).toBe('Theirs');
  const { models } = await store();
  expect(await models.conflicts.count({ where: { jobId: 'three', settledAt: null } })).toBe(1);
  await settleConflict('three', Number(refused.details['conflict']));
  expect(await models.conflicts.count({ where: { jobId: 'three', settledAt: null } })).toBe(0);
});

test('what came second is kept beside the job, once however often it is sent, and can be had back', async () => {
  await createJob(named('beside', 'Base'), 'Begun');
  await save('beside', 1, [step('beside', 'Theirs')]);
  const mine = step('beside', 'Mine');
  for (const steps of [[mine], [mine], [step('beside', 'Another')]])
    await expect(save('beside', 1, steps)).rejects.toThrow('Somebody saved this job in the meantime.');
  const versions = await listConflicts('beside');
  expect(versions.map(({ base, isSettled }) => [base, isSettled])).toEqual([
    [1, false],
    [1, false],
  ]);
  const jobs = await Promise.all(versions.map(({ id }) => conflictVersion('beside', id)));
  expect(jobs.map(({ name }) => name)).toEqual(['Another', 'Mine']);
  await settleConflict('beside', versions[0]?.id ?? 0);
  expect((await listConflicts('beside')).map((v) => v.isSettled)).toEqual([true, false]);
  await expect(conflictVersion('three', versions[0]?.id ?? 0)).rejects.toThrow('no longer kept');
});

test('forty saves at once: exactly one wins each base, and the log has no gap', async () => {
  await createJob(named('four', '0'), 'Begun');
  const results = await Promise.allSettled(
    Array.from({ length: 40 }, (_, i) => save('four', 1, [step('four', `n${i}`)])),
  );
  expect(results.filter((r) => r.status === 'fulfilled')).toHaveLength(1);
  for (let i = 2; i < 30; i += 1) await save('four', i, [step('four', `m${i}`)]);
  expect((await listRevisions('four')).map((r) => r.number)).toEqual(Array.from({ length: 30 }, (_, i) => 30 - i));
});

test('a job whose id is taken gets one of its own', async () => {
  await createJob(named('five', 'A'), 'Begun');
  const copy = await createJob(named('five', 'B'), 'Opened');
  expect(copy.id).not.toBe('five');
  expect((await readCurrent('five')).job.name).toBe('A');
});

test('what is no job is refused in words, and a removed one can be put back', async () => {
  await expect(createJob({ format: 'other' }, 'x')).rejects.toMatchObject({ status: 422 });
  await expect(readCurrent('none')).rejects.toMatchObject({ status: 404 });
  await createJob(named('six', 'Six'), 'Begun');
  await setRemoved('six', true);
  expect((await listJobs()).some((j) => j.id === 'six')).toBe(false);
  await setRemoved('six', false);
  expect((await readCurrent('six')).job.name).toBe('Six');
});

test('the database keeps its promises: WAL, foreign keys, full synchronisation, on every connection', async () => {
  const { sequelize } = await store();
  const ask = async (pragma: string, transaction?: Awaited<ReturnType<typeof sequelize.transaction>>) => {
    const [rows] = await sequelize.query(`SELECT * FROM pragma_${pragma}`, transaction ? { transaction } : {});
    return Object.values((rows as Record<string, unknown>[])[0] ?? {})[0];
  };
  expect(await ask('journal_mode')).toBe('wal');
  const transaction = await sequelize.transaction();
  expect([await ask('foreign_keys', transaction), await ask('synchronous', transaction)]).toEqual([1, 2]);
  await transaction.rollback();
  await expect(
    sequelize.query("INSERT INTO revisions VALUES ('nobody', 1, 'edit', '', '', '', '2026-01-01', NULL)"),
  ).rejects.toThrow();
});

test('what was learnt with a job is found for jobs like it, those most like it first', async () => {
  const at = '2026-11-01T09:00:00.000Z';
  const lesson = (id: string, text: string) => ({ id, at, kind: 'differently' as const, text });
  const job = (id: string, client: string, text: string) => ({
    ...named(id, `Job ${id}`),
    client,
    log: [lesson('l1', text), { id: 'l2', at, kind: 'note' as const, text: 'A note' }],
  });
  await createJob(job('learnt-1', 'Quillrook', 'Score it first.'), 'Begin');
  await createJob(job('learnt-2', 'Somebody else', 'More bleed.'), 'Begin');
  const asked = { kind: 'Flyer', client: 'Quillrook', printer: '', paper: '' };
  const found = await lessonsFor(asked, 'nobody');
  expect(found.map(({ text, alike }) => [text, alike])).toEqual([
    ['Score it first.', ['kind', 'client']],
    ['More bleed.', ['kind']],
  ]);
  expect(found.map(({ text }) => text)).not.toContain('A note');
  expect(await lessonsFor(asked, 'learnt-1')).toHaveLength(1);
  expect(await lessonsFor({ ...asked, kind: 'Banner' }, 'nobody')).toEqual([]);
  // What is taken out of the log is no longer found, and a job that was removed teaches nothing.
  await setRemoved('learnt-2', true);
  expect((await lessonsFor(asked, 'nobody')).map(({ job: of }) => of)).toEqual(['learnt-1']);
});
