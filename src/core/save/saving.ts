import type { Job } from '../job';
import { contentHash } from './hash';
import { patchBetween, patched } from './patch';
import { BATCH, LONGEST_LABEL, type RevisionKind, type SaveAnswer, type SaveRequest, type SentStep } from './protocol';

/** A state that the server has not acknowledged. */
export interface PendingStep {
  readonly id: string;
  readonly kind: RevisionKind;
  readonly label: string;
  readonly document: Job;
}

/** What is happening to what was done. Moments are in ms since 1970. */
export type Phase =
  | { readonly is: 'saved'; readonly at: number | undefined }
  | { readonly is: 'waiting'; readonly since: number }
  | { readonly is: 'sending'; readonly since: number }
  /** The server did not take it: it is tried again, after ever longer pauses. */
  | { readonly is: 'away'; readonly since: number; readonly problem: string }
  /** The server will not take it as it is; the next change is tried anew. */
  | { readonly is: 'refused'; readonly since: number; readonly problem: string }
  | {
      readonly is: 'conflict';
      readonly since: number;
      readonly conflict: number;
      readonly head: number;
      readonly theirs: Job;
    };

/** How far a job that is worked on is kept: the newest revision of it, and what comes after. */
export interface Saving {
  readonly head: number;
  /** That revision as it is kept; undefined while it is not known to the letter. */
  readonly base: Job | undefined;
  /** Content of that revision. */
  readonly hash: string;
  /** Oldest first. */
  readonly pending: readonly PendingStep[];
  /** How many of them were ever sent: they may have arrived, and are never changed again. */
  readonly sent: number;
  /** How often in a row the server did not take it. */
  readonly failures: number;
  readonly phase: Phase;
}

export const savedAs = (head: number, job: Job): Saving => ({
  head,
  base: job,
  hash: contentHash(job),
  pending: [],
  sent: 0,
  failures: 0,
  phase: { is: 'saved', at: undefined },
});

/** Since when something is not on the server; undefined when everything is. */
export const unsavedSince = ({ pending, phase }: Saving): number | undefined =>
  pending.length === 0 || phase.is === 'saved' ? undefined : phase.since;

/** Whether the last state may still be replaced by one that goes on from it. */
export const isOpen = ({ pending, sent }: Saving): boolean => pending.length > sent;

/** Something was done. @param joins whether it takes the place of the last state, which was not sent yet */
export function noted(saving: Saving, done: PendingStep, joins: boolean, now: number): Saving {
  const { pending, phase } = saving;
  const step = { ...done, label: done.label.slice(0, LONGEST_LABEL) };
  const since = unsavedSince(saving) ?? now;
  switch (phase.is) {
    case 'refused':
      // What was refused goes; where it led to goes on in what was done now.
      return { ...saving, pending: [{ ...step, kind: 'edit' }], phase: { is: 'waiting', since } };
    case 'saved':
      return { ...saving, pending: [step], phase: { is: 'waiting', since } };
    case 'waiting':
    case 'sending':
    case 'away':
    case 'conflict':
      return { ...saving, pending: [...(joins && isOpen(saving) ? pending.slice(0, -1) : pending), step] };
  }
}

/** Whether there is something to be sent now. */
export const isDue = ({ pending, phase }: Saving): boolean =>
  pending.length > 0 && (phase.is === 'waiting' || phase.is === 'away');

/** What is sent next, and how things stand while it is under way. */
export function sent(saving: Saving, now: number): { readonly saving: Saving; readonly request: SaveRequest } {
  const request = requestOf(saving);
  const count = Math.max(saving.sent, request.steps.length);
  return { request, saving: { ...saving, sent: count, phase: { is: 'sending', since: unsavedSince(saving) ?? now } } };
}

/** The request that keeps what is pending, or as much of it as goes at once. */
export function requestOf({ head, hash, base, pending }: Saving): SaveRequest {
  const steps: SentStep[] = [];
  let before = base;
  for (const { id, kind, label, document } of pending.slice(0, BATCH)) {
    steps.push({ id, kind, label, change: changeFrom(before, document) });
    before = document;
  }
  return { base: head, hash, steps };
}

const changes = new WeakMap<Job, { readonly from: Job; readonly change: SentStep['change'] }>();

/** What leads to a state: a patch where that leads to the very same content. */
function changeFrom(from: Job | undefined, to: Job): SentStep['change'] {
  if (!from) return { as: 'whole', document: to };
  const before = changes.get(to);
  if (before?.from === from) return before.change;
  const patch = patchBetween(from, to);
  const arrived = patched(from, patch);
  const isSame = typeof arrived === 'object' && arrived !== null && contentHash(arrived) === contentHash(to);
  const change: SentStep['change'] = isSame
    ? { as: 'patch', patch, hash: contentHash(to) }
    : { as: 'whole', document: to };
  changes.set(to, { from, change });
  return change;
}

/** The server has kept the first so many of what is pending. */
export function acknowledged(saving: Saving, count: number, { head, hash }: SaveAnswer, now: number): Saving {
  const newest = saving.pending[count - 1]?.document ?? saving.base;
  const pending = saving.pending.slice(count);
  return {
    head,
    hash,
    // What was tidied on the way in is not known here to the letter.
    base: newest && contentHash(newest) === hash ? newest : undefined,
    pending,
    sent: Math.max(0, saving.sent - count),
    failures: 0,
    phase: pending.length > 0 ? { is: 'waiting', since: now } : { is: 'saved', at: now },
  };
}

/** The server did not answer, or could not keep anything now. */
export const failed = (saving: Saving, problem: string, now: number): Saving => ({
  ...saving,
  failures: saving.failures + 1,
  phase: { is: 'away', since: unsavedSince(saving) ?? now, problem },
});

/** The server knows the revision otherwise than we do: the next state is sent whole. */
export const mismatched = (saving: Saving, now: number): Saving => ({
  ...saving,
  base: undefined,
  phase: { is: 'waiting', since: unsavedSince(saving) ?? now },
});

/** The server will not take it as it is. */
export const refused = (saving: Saving, problem: string, now: number): Saving => ({
  ...saving,
  // What was refused did not arrive: it may be mended in its place.
  sent: 0,
  phase: { is: 'refused', since: unsavedSince(saving) ?? now, problem },
});

/** Somebody else saved first; both versions are kept, and the designer chooses. */
export const met = (
  saving: Saving,
  conflict: { readonly conflict: number; readonly head: number; readonly theirs: Job },
  now: number,
): Saving => ({ ...saving, phase: { is: 'conflict', since: unsavedSince(saving) ?? now, ...conflict } });

/** Shortest and longest pause before trying again, ms. */
const [FIRST_PAUSE, LONGEST_PAUSE] = [1_000, 30_000];

/** How long to wait before the next try: twice as long each time. */
export const pauseOf = ({ failures }: Saving): number =>
  Math.min(LONGEST_PAUSE, FIRST_PAUSE * 2 ** Math.max(0, failures - 1));

/** What a browser keeps of work that the server has not acknowledged. */
export interface JournalEntry {
  readonly request: SaveRequest;
  /** Steps beyond those that go at once. */
  readonly rest: readonly SentStep[];
  readonly since: number;
}

/** What has to be kept here until the server has it; undefined when that is nothing. */
export function journalOf(saving: Saving): JournalEntry | undefined {
  const since = unsavedSince(saving);
  if (since === undefined) return undefined;
  const { base, pending } = saving;
  const rest: SentStep[] = [];
  let before: Job | undefined = pending[BATCH - 1]?.document ?? base;
  for (const { id, kind, label, document } of pending.slice(BATCH)) {
    rest.push({ id, kind, label, change: changeFrom(before, document) });
    before = document;
  }
  return { request: requestOf(saving), rest, since };
}

/**
 * Takes up work that was left unsaved.
 * @param base the revision it was laid on
 * @param read gives a job where a document is one
 * @returns undefined where the steps do not lead anywhere
 */
export function resumed(
  { request, rest, since }: JournalEntry,
  base: Job,
  read: (document: unknown) => Job | undefined,
): Saving | undefined {
  const pending: PendingStep[] = [];
  let state = base;
  for (const { id, kind, label, change } of [...request.steps, ...rest]) {
    const arrived = read(change.as === 'whole' ? change.document : patched(state, change.patch));
    if (!arrived) return undefined;
    state = arrived;
    pending.push({ id, kind, label, document: arrived });
  }
  // They may have arrived before the answer was lost.
  return { ...savedAs(request.base, base), pending, sent: pending.length, phase: { is: 'waiting', since } };
}
