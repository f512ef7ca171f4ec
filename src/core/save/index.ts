export { contentHash, knownContent } from './hash';
export { Patch, patchBetween, patched } from './patch';
export { BATCH, REVISION_KINDS, SaveAnswer, SaveRequest, SentStep, type RevisionKind } from './protocol';
export {
  acknowledged,
  failed,
  isDue,
  isOpen,
  journalOf,
  met,
  mismatched,
  noted,
  pauseOf,
  refused,
  requestOf,
  resumed,
  savedAs,
  sent,
  unsavedSince,
  type JournalEntry,
  type PendingStep,
  type Phase,
  type Saving,
} from './saving';
