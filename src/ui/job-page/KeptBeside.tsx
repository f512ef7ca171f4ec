'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Job } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { api, wordsOf, type VersionBeside } from '../shell/api';
import { useSay } from '../shell/Messages';
import { momentWords } from '../shell/moments';
import { useJob } from '../open-job/context';
import { useBeside } from '../open-job/use-beside';
import { Versions } from '../versions/Versions';

/** Versions that another save came before: each can be looked at beside the job, taken in its place, or left. */
export function KeptBeside({ onClose }: { readonly onClose: () => void }) {
  const { versions } = useBeside();
  const [chosen, setChosen] = useState<number>();
  const version = versions.find(({ id }) => id === chosen) ?? versions[0];
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="lg"
      fullWidth
      aria-labelledby="beside-title"
      onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}
    >
      <DialogTitle id="beside-title">Versions kept beside this job</DialogTitle>
      <DialogContent>
        {versions.length > 1 && version && (
          <ChoiceField
            label="version"
            width={320}
            value={String(version.id)}
            options={versions.map((v) => ({ value: String(v.id), label: nameOf(v) }))}
            onChange={(id) => setChosen(Number(id))}
          />
        )}
        {version ? (
          <Beside key={version.id} version={version} onDone={onClose} />
        ) : (
          <p>None: no save of this job met another.</p>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

const nameOf = ({ at, isSettled }: VersionBeside): string =>
  `Kept ${momentWords(at)}${isSettled ? ', looked at' : ', not looked at yet'}`;

interface BesideProps {
  readonly version: VersionBeside;
  readonly onDone: () => void;
}

function Beside({ version, onDone }: BesideProps) {
  const job = useJob((s) => s.job);
  const change = useJob((s) => s.change);
  const { refetch } = useBeside();
  const say = useSay();
  const { data, error } = useQuery({
    queryKey: ['beside', job.id, version.id],
    queryFn: () => api.versionBeside(job.id, version.id),
    staleTime: Infinity,
    retry: false,
  });
  const settle = async (taken: Job | undefined) => {
    try {
      await api.settle(job.id, version.id);
    } catch (problem) {
      return say({ tone: 'problem', text: wordsOf(problem) });
    }
    if (taken) change(`Version of ${momentWords(version.at)}`, () => taken);
    void refetch();
    onDone();
  };
  if (error) return <Alert severity="error">{wordsOf(error)}</Alert>;
  if (!data) return <CircularProgress size={28} aria-label="Fetching the version" />;
  return (
    <Box sx={{ pt: 1.5 }}>
      <Versions
        before={{
          title: nameOf(version),
          job: data.job,
          choice: (
            <Button variant="contained" onClick={() => void settle(data.job)}>
              Go on with this one
            </Button>
          ),
        }}
        after={{
          title: 'The job as it stands',
          job,
          choice: version.isSettled ? undefined : (
            <Button variant="outlined" onClick={() => void settle(undefined)}>
              Leave it as it stands
            </Button>
          ),
        }}
      />
    </Box>
  );
}
