'use client';
import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import dynamic from 'next/dynamic';
import { useSyncExternalStore } from 'react';
import { Learner } from '@/core/practice';
import { api, wordsOf } from '../shell/api';
import { Room } from '../shell/Room';
import { BeginRound } from './BeginRound';
import { Progress } from './Progress';

// Numbers are drawn where they are asked, not where the page is made.
const Sums = dynamic(() => import('./Sums'), { ssr: false });

/** Who practised here last, in this browser. */
const KEPT = 'ys-learner';

/** Faults to find in spoilt pieces, and sums to work out. */
export function PracticePage() {
  const { data, error } = useQuery({ queryKey: ['practice'], queryFn: api.practice });
  const [name, setName] = useLastName();
  const learners = data?.learners ?? [];
  const learner = learners.find((one) => one.name === name.trim());
  return (
    <Room here="/practice" title="Practice">
      {error && (
        <Alert severity="error" sx={{ mb: 2 }}>
          {wordsOf(error)}
        </Alert>
      )}
      <Box sx={{ maxWidth: 1180, display: 'grid', gap: 3 }}>
        <Autocomplete
          freeSolo
          size="small"
          options={learners.map((one) => one.name)}
          inputValue={name}
          onInputChange={(_event, to) => setName(to)}
          sx={{ width: 300 }}
          renderInput={(params) => (
            <TextField {...params} label="Who practises" helperText="A name, so that what was missed comes again." />
          )}
        />
        <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, alignItems: 'start' }}>
          <BeginRound name={name.trim()} pieces={data?.pieces ?? []} isReady={data !== undefined} />
          <Sums name={name.trim()} drills={learner?.drills ?? {}} />
        </Box>
        <Progress
          learner={learner ?? Learner.parse({ name: name.trim() || 'nobody' })}
          onForgotten={() => setName('')}
        />
      </Box>
    </Room>
  );
}

const listeners = new Set<() => void>();

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The name that was given here last, and how it is changed. */
function useLastName(): readonly [string, (name: string) => void] {
  const name = useSyncExternalStore(
    subscribe,
    () => window.localStorage.getItem(KEPT) ?? '',
    () => '',
  );
  return [
    name,
    (to) => {
      window.localStorage.setItem(KEPT, to);
      for (const listener of listeners) listener();
    },
  ];
}
