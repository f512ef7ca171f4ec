'use client';
import { useEffect } from 'react';
import type { Job } from '@/core/job';
import { ApiError, Unreachable, api, wordsOf } from '../shell/api';
import type { JobStore } from './store';

/** Rest after the last change before it is saved, and before trying again when the server is away, ms. */
const REST = 350;
const RETRY = 2_000;
/** States sent at once. */
const BATCH = 100;

/** Saves what is pending, in order, soon after every change; holds on while the server is away. */
export function useAutosave(store: JobStore): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let sending = false;

    const later = (ms: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => void send(), ms);
    };
    const send = async () => {
      const { pending, head, job, setSave, sending: tell, saved, save } = store.getState();
      if (sending || pending.length === 0 || save.kind === 'conflict' || save.kind === 'refused') return;
      sending = true;
      const batch = pending.slice(0, BATCH);
      tell(batch.length);
      try {
        saved(batch.length, (await api.save(job.id, head, batch)).head);
        if (store.getState().pending.length > 0) later(0);
      } catch (error) {
        if (error instanceof Unreachable) {
          setSave({ kind: 'offline' });
          later(RETRY);
        } else if (error instanceof ApiError && error.status === 409) {
          const { conflict, head: theirHead, theirs } = error.details;
          setSave({
            kind: 'conflict',
            conflict: Number(conflict),
            head: Number(theirHead),
            theirs: theirs as Job,
            mine: store.getState().job,
          });
        } else {
          setSave({ kind: 'refused', problem: wordsOf(error) });
        }
      } finally {
        sending = false;
      }
    };
    const stop = store.subscribe((state, before) => {
      if (state.pending === before.pending || state.pending.length === 0) return;
      if (state.save.kind === 'saved') state.setSave({ kind: 'waiting' });
      if (state.save.kind === 'refused') state.setSave({ kind: 'waiting' });
      later(REST);
    });
    // Leaving: send what is left; ask only when that cannot be enough.
    const flush = () => {
      const { pending, head, job, save } = store.getState();
      if (pending.length > 0 && !sending && save.kind !== 'conflict') {
        void api.save(job.id, head, pending, true).catch(() => undefined);
      }
    };
    const ask = (event: BeforeUnloadEvent) => {
      if (store.getState().save.kind === 'offline') event.preventDefault();
    };
    window.addEventListener('pagehide', flush);
    window.addEventListener('beforeunload', ask);
    return () => {
      stop();
      clearTimeout(timer);
      flush();
      window.removeEventListener('pagehide', flush);
      window.removeEventListener('beforeunload', ask);
    };
  }, [store]);
}
