'use client';
import { createContext, useContext } from 'react';
import type { Mark } from '@/core/practice';
import type { OpenRound } from '../shell/api';

/** The round that is open, and what was marked in it so far. */
export interface RoundState {
  readonly round: OpenRound;
  readonly marks: readonly Mark[];
  readonly setMarks: (marks: readonly Mark[]) => void;
  /** Hands in what was marked. */
  readonly handIn: () => Promise<void>;
  readonly isHandingIn: boolean;
}

const Context = createContext<RoundState | undefined>(undefined);
export const RoundProvider = Context.Provider;

export function useRound(): RoundState {
  const state = useContext(Context);
  if (!state) throw new Error('No round is open here.');
  return state;
}
