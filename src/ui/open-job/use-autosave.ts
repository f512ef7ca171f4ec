'use client';
import { useEffect } from 'react';
import type { Job } from '@/core/job';
import {
  acknowledged,
  failed,
  isDue,
  journalOf,
  met,
  mismatched,
  pauseOf,
  refused,
  sent,
  unsavedSince,
  type Saving,
} from '@/core/save';
import { ApiError, Unreachable, api, wordsOf } from '../shell/api';
import { writeDown } from './journal';
import type { JobStore } from './store';

/** Rest after the last change before it is written down here and saved, ms. */
const REST = 350;

/** Answers after which the same is tried again. */
const FOR_NOW = [408, 429, 500, 502, 503, 504, 507];

/** Saves what was done, in order, soon after every change; what is not on the server is written down in the browser. */
export function useAutosave(store: JobStore, sitting: string): void {
  useEffect(() => {
    const { id } = store.getState().job;
    const { keep } = store.getState();
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isSending = false;
    let written: Saving | undefined;

    const note = () => {
      const { saving } = store.getState();
      if (saving === written) return;
      written = saving;
      writeDown(id, sitting, journalOf(saving));
    };
    const later = (ms: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        note();
        void send();
      }, ms);
    };
    const send = async () => {
      if (isSending || !isDue(store.getState().saving)) return;
      isSending = true;
      const { saving, request } = sent(store.getState().saving, Date.now());
      keep(() => saving);
      let change: (saving: Saving) => Saving;
      try {
        const answer = await api.save(id, request);
        change = (s) => acknowledged(s, request.steps.length, answer, Date.now());
      } catch (error) {
        change = afterError(error);
      }
      isSending = false;
      keep(change);
    };
    const stop = store.subscribe(({ saving }, before) => {
      if (saving === before.saving) return;
      switch (saving.phase.is) {
        case 'saved':
          return note();
        case 'waiting':
          return later(saving.pending.at(-1) === before.saving.pending.at(-1) ? 0 : REST);
        case 'away':
          return later(pauseOf(saving));
        case 'sending':
        case 'refused':
        case 'conflict':
          clearTimeout(timer);
          timer = setTimeout(note, REST);
      }
    });
    // Back on the line, nothing waits for the end of its pause.
    const again = () => {
      if (store.getState().saving.phase.is === 'away') later(0);
    };
    // Leaving: what is left is written down, and sent on the way out.
    const leave = () => {
      const { saving } = store.getState();
      note();
      if (!isDue(saving)) return;
      const { request } = sent(saving, Date.now());
      const isAll = request.steps.length === saving.pending.length;
      api.save(id, request, true).then(
        () => isAll && writeDown(id, sitting, undefined),
        () => undefined,
      );
    };
    const hide = () => {
      if (document.visibilityState === 'hidden') note();
    };
    const ask = (event: BeforeUnloadEvent) => {
      if (unsavedSince(store.getState().saving) !== undefined) event.preventDefault();
    };
    window.addEventListener('online', again);
    window.addEventListener('pagehide', leave);
    document.addEventListener('visibilitychange', hide);
    window.addEventListener('beforeunload', ask);
    // Work that was taken up again.
    if (isDue(store.getState().saving)) later(0);
    return () => {
      stop();
      clearTimeout(timer);
      leave();
      window.removeEventListener('online', again);
      window.removeEventListener('pagehide', leave);
      document.removeEventListener('visibilitychange', hide);
      window.removeEventListener('beforeunload', ask);
    };
  }, [store, sitting]);
}

/** What becomes of what was sent, after an answer that keeps nothing. */
function afterError(error: unknown): (saving: Saving) => Saving {
  const words = wordsOf(error);
  if (error instanceof ApiError && error.status === 409) {
    const { conflict, head, theirs } = error.details;
    const found = { conflict: Number(conflict), head: Number(head), theirs: theirs as Job };
    return (saving) => met(saving, found, Date.now());
  }
  if (error instanceof ApiError && error.status === 412) return (saving) => mismatched(saving, Date.now());
  if (error instanceof Unreachable || (error instanceof ApiError && FOR_NOW.includes(error.status)))
    return (saving) => failed(saving, words, Date.now());
  return (saving) => refused(saving, words, Date.now());
}
