'use client';
import Divider from '@mui/material/Divider';
import IconButton from '@mui/material/IconButton';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { Ellipsis } from 'lucide-react';
import { useState } from 'react';
import { STAGES, type JobSummary, type Stage } from '@/core/job';
import { STAGE_WORDS } from './stages';

export interface JobActions {
  /** Begins a job from it: its next version, or one that fills the slots of a template. */
  readonly onNext: (job: JobSummary) => void;
  readonly onMove: (jobs: readonly JobSummary[], stage: Stage) => void;
  readonly onRemove: (jobs: readonly JobSummary[]) => void;
}

/** What can be done with a job without opening it. */
export function JobMenu({ job, onNext, onMove, onRemove }: JobActions & { readonly job: JobSummary }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const after = (act: () => void) => () => {
    setAnchor(null);
    act();
  };
  return (
    <>
      <IconButton
        size="small"
        aria-label={`More for ${job.name}`}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ zIndex: 1, color: 'text.secondary' }}
      >
        <Ellipsis size={18} aria-hidden />
      </IconButton>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem dense onClick={after(() => onNext(job))}>
          {job.stage === 'template' ? 'Begin a job from it' : 'Begin its next version'}
        </MenuItem>
        <Divider />
        {STAGES.filter((stage) => stage !== job.stage).map((stage) => (
          <MenuItem key={stage} dense onClick={after(() => onMove([job], stage))}>
            {stage === 'template' ? 'Make it a template' : `Move to ${STAGE_WORDS[stage]}`}
          </MenuItem>
        ))}
        <Divider />
        <MenuItem dense onClick={after(() => onRemove([job]))}>
          Take it off the board
        </MenuItem>
      </Menu>
    </>
  );
}
