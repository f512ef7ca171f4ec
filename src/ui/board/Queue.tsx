'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { counted } from '@/core/measure';
import { api, wordsOf, type Queued } from '../shell/api';
import { useSay } from '../shell/Messages';
import { durationWords } from '../shell/moments';

/** Under which the queue is kept in the page. */
export const QUEUE = ['queue'] as const;
/** How often it is looked at: while something is made, and otherwise, ms. */
const [BUSY, IDLE] = [700, 10_000];

/** What waits to be made of all jobs, and what is being made; nothing while there is nothing. */
export function Queue() {
  const client = useQueryClient();
  const say = useSay();
  const { data } = useQuery({
    queryKey: QUEUE,
    queryFn: api.queue,
    refetchInterval: (query) => (query.state.data?.queue.length ? BUSY : IDLE),
  });
  const again = () => client.invalidateQueries({ queryKey: QUEUE });
  const onError = (error: unknown) => say({ tone: 'problem', text: wordsOf(error) });
  const stop = useMutation({ mutationFn: api.cancelExport, onSuccess: again, onError });
  const hurry = useMutation({ mutationFn: api.hurryExport, onSuccess: again, onError });
  const queue = data?.queue ?? [];
  if (queue.length === 0) return null;
  const running = queue.filter(({ state }) => state === 'running').length;
  return (
    <Box component="section" aria-label="Queue" sx={{ mb: 2, fontSize: 14 }}>
      <Box role="status" sx={{ fontWeight: 600 }}>
        {counted(running, 'file')} being made, {queue.length - running} waiting
      </Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none', maxHeight: 220, overflowY: 'auto' }}>
        {queue.map((one, i) => (
          <Line
            key={one.id}
            one={one}
            isNext={one.state === 'waiting' && queue[i - 1]?.state !== 'waiting'}
            onStop={() => stop.mutate(one.id)}
            onHurry={() => hurry.mutate(one.id)}
          />
        ))}
      </Box>
    </Box>
  );
}

interface LineProps {
  readonly one: Queued;
  /** Nothing waits before it. */
  readonly isNext: boolean;
  readonly onStop: () => void;
  readonly onHurry: () => void;
}

function Line({ one, isNext, onStop, onHurry }: LineProps) {
  const { name, job, kind, step, share, left, state } = one;
  return (
    <Box component="li" data-queued={state} sx={{ display: 'flex', gap: 1.5, alignItems: 'center', py: 0.25 }}>
      <Link href={`/jobs/${job}?at=output`} color="secondary" sx={{ fontWeight: 600, minWidth: 180 }}>
        {name}
      </Link>
      <Box sx={{ width: 100 }}>{kind}</Box>
      <Box sx={{ flex: 1, maxWidth: 420 }}>
        {step}
        {left === null ? '' : ` · ${durationWords(left)} left`}
        {state === 'running' && <LinearProgress variant="determinate" value={share * 100} aria-label={step} />}
      </Box>
      {state === 'waiting' && (
        <Button size="small" disabled={isNext} onClick={onHurry} aria-label={`Make ${kind} of ${name} next`}>
          Next
        </Button>
      )}
      <Button size="small" onClick={onStop} aria-label={`Cancel ${kind} of ${name}`}>
        Cancel
      </Button>
    </Box>
  );
}
