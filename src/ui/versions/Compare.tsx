'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useQuery } from '@tanstack/react-query';
import type { Job } from '@/core/job';
import { api, wordsOf } from '../shell/api';
import { useJob } from '../open-job/context';
import { Versions } from './Versions';

interface Props {
  readonly previous: NonNullable<Job['previous']>;
  readonly onClose: () => void;
}

/** What differs from the version that this job was begun from. */
export function Compare({ previous, onClose }: Props) {
  const job = useJob((s) => s.job);
  const { data, error } = useQuery({
    queryKey: ['version', previous.job, previous.revision],
    queryFn: () => api.revision(previous.job, previous.revision),
    retry: false,
  });
  const before = data?.job;
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="lg"
      fullWidth
      aria-labelledby="compare-title"
      onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}
    >
      <DialogTitle id="compare-title">
        {before ? `What differs from ${before.name}` : 'What differs from the version before'}
      </DialogTitle>
      <DialogContent>
        {error && <Alert severity="error">{wordsOf(error)}</Alert>}
        {!before && !error && <CircularProgress size={28} aria-label="Fetching the version before" />}
        {before && <Versions before={{ title: before.name, job: before }} after={{ title: job.name, job }} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
