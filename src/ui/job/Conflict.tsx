'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMemo } from 'react';
import { describeDifferences } from '@/core/job';
import type { Job } from '@/core/job';
import { svgPage } from '@/paint/svg';
import { itemsOf } from '@/core/drawing';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { useJob } from './context';
import type { Phase } from '@/core/save';
import { paintingOf } from './painting';
import { useDeskOf } from './use-desk';

/** Two versions of the job: the designer chooses which goes on. Both are kept whichever it is. */
export function Conflict({ conflict }: { readonly conflict: Extract<Phase, { is: 'conflict' }> }) {
  const settle = useJob((s) => s.settle);
  const mine = useJob((s) => s.job);
  const say = useSay();
  const differences = useMemo(() => describeDifferences(conflict.theirs, mine), [conflict.theirs, mine]);
  const choose = async (kept: Job | undefined) => {
    try {
      await api.settle(mine.id, conflict.conflict);
      settle(conflict.theirs, conflict.head, kept);
      say({ tone: 'done', text: 'Both versions stay in the record of the job.' });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    }
  };
  return (
    <Dialog open maxWidth="md" fullWidth aria-labelledby="conflict-title">
      <DialogTitle id="conflict-title">This job was saved elsewhere in the meantime</DialogTitle>
      <DialogContent>
        <p style={{ marginTop: 0 }}>Both versions are kept. Which one goes on?</p>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
          <Version title="Mine, here" job={mine} onChoose={() => void choose(mine)} label="Go on with mine" />
          <Version
            title="The other one"
            job={conflict.theirs}
            onChoose={() => void choose(undefined)}
            label="Go on with the other"
          />
        </Box>
        <Box component="ul" sx={{ fontSize: 14, maxHeight: 140, overflowY: 'auto' }}>
          {differences.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </Box>
      </DialogContent>
    </Dialog>
  );
}

function Version({
  title,
  job,
  label,
  onChoose,
}: {
  readonly title: string;
  readonly job: Job;
  readonly label: string;
  readonly onChoose: () => void;
}) {
  const { desk } = useDeskOf(job, 'front');
  const picture = useMemo(() => {
    if (!desk) return '';
    const { drawing, resources, rules } = desk;
    return svgPage(itemsOf(drawing), drawing.boxes.trim, paintingOf(resources, rules.conversion)).replace(
      / width="[^"]*mm" height="[^"]*mm"/,
      ' width="100%" height="100%"',
    );
  }, [desk]);
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'center' }}>
      <b>{title}</b>
      <Box
        role="img"
        aria-label={`${title}: the front`}
        sx={{ width: '100%', height: 300 }}
        dangerouslySetInnerHTML={{ __html: picture }}
      />
      <Button variant="contained" onClick={onChoose}>
        {label}
      </Button>
    </Box>
  );
}
