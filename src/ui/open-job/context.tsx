'use client';
import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import { type JobState, type JobStore } from './store';

const Context = createContext<JobStore | undefined>(undefined);

export const JobProvider = Context.Provider;

export function useJobStore(): JobStore {
  const store = useContext(Context);
  if (!store) throw new Error('No job is open here.');
  return store;
}

/** A part of the open job’s state. */
export function useJob<T>(pick: (state: JobState) => T): T {
  return useStore(useJobStore(), pick);
}

/** The job as shown: while something is dragged, as it would be. */
export const shownJob = (state: JobState) => state.live ?? state.job;
