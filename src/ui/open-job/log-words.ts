import type { Alike, LogKind } from '@/core/job';

/** What entries of the log are called. */
export const LOG_WORDS: Readonly<Record<LogKind, string>> = {
  note: 'note',
  call: 'call',
  complaint: 'complaint',
  differently: 'differently next time',
};

/** In what another job is like this one, in words. */
export const ALIKE_WORDS: Readonly<Record<Alike, string>> = {
  kind: 'of the same kind',
  client: 'for the same client',
  printer: 'at the same printer',
  paper: 'on the same paper',
};
