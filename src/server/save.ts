import 'server-only';
import type { Transaction } from 'sequelize';
import type { Job } from '@/core/job';
import { contentHash, patched, type SaveAnswer, type SaveRequest, type SentStep } from '@/core/save';
import { jobRow, revision } from './jobs';
import { keepAtHand, stateAt } from './newest';
import { readState } from './read-state';
import type { State } from './state';
import { store } from './store/database';
import { refused } from './problems';

/**
 * Keeps states on top of a revision. Those that arrived before, their answer lost, are kept once. When another save
 * came first nothing is overwritten: the newest of these states is kept beside the job, and the answer (409) carries
 * both.
 * @throws Problem 412 when the changes are of another state than the one that is kept
 */
export const saveSteps = (id: string, request: SaveRequest): Promise<SaveAnswer> => saveAfter(id, request, []);

/** @param arrivedBefore numbers of those states that are known to be kept already */
async function saveAfter(id: string, request: SaveRequest, arrivedBefore: readonly number[]): Promise<SaveAnswer> {
  // Read and packed before the others have to wait.
  const laid = await laidOn(id, request, arrivedBefore);
  const { models, write } = await store();
  const saved = await write(async (transaction) => {
    const row = await jobRow(id, transaction);
    const { from, states } = laid;
    const newest = states.at(-1);
    if (!newest) return { head: from, hash: contentHash(await stateAt(id, from)) };
    if (row.head !== from) {
      // The same states came before, or by another way since.
      const numbers = await arrived(id, request.steps, transaction);
      if (numbers.length !== arrivedBefore.length) return { arrived: numbers };
      // A tab that is closed without choosing brings the same again when it is opened.
      const version = { jobId: id, base: from, document: newest.document, settledAt: null };
      const before = await models.conflicts.findOne({ where: version, attributes: ['id'], transaction });
      const kept = before ?? (await models.conflicts.create(version, { transaction }));
      return { conflict: kept.id, head: row.head, mine: newest.job };
    }
    for (const [i, { step, hash, document }] of states.entries()) {
      const { id: name, kind, label } = step;
      await models.revisions.create(
        { jobId: id, number: from + i + 1, step: name, kind, label, hash, document },
        { transaction },
      );
    }
    await row.update({ head: from + states.length, ...newest.facts }, { transaction });
    return { head: from + states.length, hash: newest.hash };
  });
  if ('arrived' in saved) return saveAfter(id, request, saved.arrived);
  if (!('conflict' in saved)) {
    const newest = laid.states.at(-1);
    if (newest) await keepAtHand(id, saved.head, newest.job, newest.document);
    return saved;
  }
  throw refused.savedMeanwhile({ ...saved, theirs: await revision(id, saved.head) });
}

interface Laid {
  /** The revision that the states are laid on, which are not kept yet. */
  readonly from: number;
  readonly states: readonly (State & { readonly step: SentStep })[];
}

async function laidOn(id: string, { base, hash, steps }: SaveRequest, arrivedBefore: readonly number[]): Promise<Laid> {
  const before = arrivedBefore.length;
  const from = arrivedBefore.at(-1) ?? base;
  const known = before === 0 ? hash : hashAfter(steps[before - 1]);
  const states: (State & { step: SentStep })[] = [];
  for (const { step, state } of statesFrom(await stateAt(id, from), known, steps.slice(before))) {
    states.push({ ...(await readState(withId(state, id))), step });
  }
  return { from, states };
}

/** Whoever sends a state says by its address whose it is. */
const withId = (state: unknown, id: string): unknown =>
  typeof state === 'object' && state !== null && 'id' in state && state.id !== id ? { ...state, id } : state;

/** The numbers of those steps, from the first on, that are kept already. */
async function arrived(id: string, steps: readonly SentStep[], transaction: Transaction): Promise<readonly number[]> {
  const { models } = await store();
  const rows = await models.revisions.findAll({
    where: { jobId: id, step: steps.map((s) => s.id) },
    attributes: ['number', 'step'],
    transaction,
  });
  const numbers = new Map(rows.map(({ number, step }) => [step, number]));
  const found: number[] = [];
  for (const step of steps) {
    const number = numbers.get(step.id);
    if (number === undefined) break;
    found.push(number);
  }
  return found;
}

/** What the sender takes a state to be that it sent before. */
const hashAfter = (step: SentStep | undefined): string | undefined =>
  step?.change.as === 'patch' ? step.change.hash : undefined;

/**
 * The states that changes lead to, one after another.
 * @param hash content of the state that the first of them is laid on
 */
function statesFrom(
  under: Job,
  hash: string | undefined,
  steps: readonly SentStep[],
): readonly { readonly step: SentStep; readonly state: unknown }[] {
  let state: unknown = under;
  let isKnown = contentHash(under) === hash;
  return steps.map((step) => {
    const { change } = step;
    if (change.as === 'whole') {
      isKnown = true;
      state = change.document;
      return { step, state };
    }
    const led = isKnown ? patched(state, change.patch) : undefined;
    if (typeof led !== 'object' || led === null || contentHash(led) !== change.hash) throw refused.otherState();
    state = led;
    return { step, state };
  });
}
