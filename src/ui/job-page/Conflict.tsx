'use client';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { Job } from '@/core/job';
import type { Phase } from '@/core/save';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { useJob } from '../open-job/context';
import { useBeside } from '../open-job/use-beside';
import { Versions } from '../versions/Versions';

/** Two versions of the job: the designer chooses which goes on. Both are kept whichever it is. */
export function Conflict({ conflict }: { readonly conflict: Extract<Phase, { is: 'conflict' }> }) {
  const settle = useJob((s) => s.settle);
  const mine = useJob((s) => s.job);
  const { refetch } = useBeside();
  const say = useSay();
  const choose = async (kept: Job | undefined) => {
    try {
      await api.settle(mine.id, conflict.conflict);
      settle(conflict.theirs, conflict.head, kept);
      say({
        tone: 'done',
        text: 'Both versions are kept. The other one is found under “Versions kept beside this job”.',
      });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
    void refetch();
  };
  const button = (words: string, kept: Job | undefined) => (
    <Button variant="contained" onClick={() => void choose(kept)}>
      {words}
    </Button>
  );
  return (
    <Dialog open maxWidth="md" fullWidth aria-labelledby="conflict-title">
      <DialogTitle id="conflict-title">This job was saved elsewhere in the meantime</DialogTitle>
      <DialogContent>
        <p style={{ marginTop: 0 }}>Both versions are kept. Which one goes on?</p>
        <Versions
          before={{ title: 'The other one', job: conflict.theirs, choice: button('Go on with the other', undefined) }}
          after={{ title: 'Mine, here', job: mine, choice: button('Go on with mine', mine) }}
        />
      </DialogContent>
    </Dialog>
  );
}
