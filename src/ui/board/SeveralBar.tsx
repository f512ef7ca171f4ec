'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { STAGES, type JobSummary } from '@/core/job';
import { FACES } from '../shell/theme';
import type { JobActions } from './JobMenu';
import { STAGE_WORDS } from './stages';

interface Props extends Pick<JobActions, 'onMove' | 'onRemove'> {
  readonly chosen: readonly JobSummary[];
  /** Has the press file of each made. */
  readonly onMake: (chosen: readonly JobSummary[]) => void;
  readonly onClear: () => void;
}

/** What can be done with several jobs at once. */
export function SeveralBar({ chosen, onMove, onRemove, onMake, onClear }: Props) {
  return (
    <Box
      role="toolbar"
      aria-label="With the chosen jobs"
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, minHeight: 40, mb: 1 }}
    >
      {chosen.length === 0 ? (
        <Box sx={{ fontSize: 13.5, color: 'text.secondary' }}>Choose rows to move several jobs, or take them off.</Box>
      ) : (
        <>
          <Box sx={{ fontFamily: FACES.figure, fontSize: 13 }}>{chosen.length} chosen</Box>
          <Box sx={{ fontSize: 13.5, color: 'text.secondary' }}>move to</Box>
          {STAGES.filter((stage) => stage !== 'template').map((stage) => (
            <Button key={stage} size="small" variant="outlined" onClick={() => onMove(chosen, stage)}>
              {STAGE_WORDS[stage]}
            </Button>
          ))}
          <Button size="small" variant="outlined" onClick={() => onMake(chosen)}>
            Make their press files
          </Button>
          <Button size="small" onClick={() => onRemove(chosen)}>
            Take them off
          </Button>
          <Button size="small" onClick={onClear}>
            Choose none
          </Button>
        </>
      )}
    </Box>
  );
}
