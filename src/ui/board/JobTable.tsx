'use client';
import Box from '@mui/material/Box';
import Link from 'next/link';
import { useMemo } from 'react';
import { STAGES, type JobSummary } from '@/core/job';
import { formatCount } from '@/core/measure';
import { RecordGrid, type GridColumn } from '../shell/RecordGrid';
import { dayWords, leftWords } from '../shell/moments';
import { FACES } from '../shell/theme';
import { isLate } from './JobCard';
import { JobMenu, type JobActions } from './JobMenu';
import { STAGE_WORDS } from './stages';
import { Standing } from './Standing';
import { RowPicture } from './Thumbnail';

interface Props extends JobActions {
  readonly jobs: readonly JobSummary[];
  readonly chosen: ReadonlySet<string>;
  readonly onChoose: (ids: ReadonlySet<string>) => void;
}

/** Jobs in rows, the one that is due first on top. */
export function JobTable({ jobs, chosen, onChoose, onNext, onMove, onRemove }: Props) {
  const columns = useMemo((): readonly GridColumn<JobSummary>[] => {
    const actions = { onNext, onMove, onRemove };
    return [
      ...COLUMNS,
      { id: 'more', head: '', value: () => null, width: '48px', show: (job) => <JobMenu job={job} {...actions} /> },
    ];
  }, [onNext, onMove, onRemove]);
  return (
    <RecordGrid
      label="Jobs"
      records={jobs}
      keyOf={(job) => job.id}
      nameOf={(job) => job.name}
      columns={columns}
      sortedBy="due"
      chosen={chosen}
      onChoose={onChoose}
      height="calc(100dvh - 176px)"
    />
  );
}

/** Faults weigh more than any number of warnings. */
const FAULT = 1000;

const COLUMNS: readonly GridColumn<JobSummary>[] = [
  {
    id: 'job',
    head: 'Job',
    value: (job) => job.name,
    width: '22%',
    show: (job) => (
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25 }}>
        <Box sx={{ width: 38, flex: 'none', display: 'grid', placeItems: 'center' }}>
          <RowPicture job={job} />
        </Box>
        <Box component={Link} href={`/jobs/${job.id}`} sx={{ color: 'inherit', fontWeight: 600 }}>
          {job.name}
        </Box>
      </Box>
    ),
  },
  { id: 'client', head: 'Client', value: (job) => job.client || null, width: '18%' },
  {
    id: 'piece',
    head: 'Piece',
    value: (job) => `${job.kind} ${job.size}`,
    show: (job) => (
      <>
        {job.kind}
        <Box sx={{ fontFamily: FACES.figure, fontSize: 13, whiteSpace: 'nowrap' }}>{job.size}</Box>
      </>
    ),
  },
  {
    id: 'copies',
    head: 'Copies',
    value: (job) => job.quantity,
    show: (job) => (job.quantity === null ? 'open' : formatCount(job.quantity)),
    isFigure: true,
  },
  { id: 'printer', head: 'Printer', value: (job) => job.printer || null, show: (job) => job.printer || 'open' },
  { id: 'due', head: 'Due', value: (job) => job.due, show: (job) => <Due job={job} />, isFigure: true },
  {
    id: 'stage',
    head: 'Stage',
    value: (job) => STAGES.indexOf(job.stage),
    show: (job) => STAGE_WORDS[job.stage],
  },
  {
    id: 'open',
    head: 'What stands in its way',
    value: ({ standing }) => standing && -(standing.faults * FAULT + standing.warnings),
    show: (job) => <Standing job={job} />,
    width: '24%',
  },
];

function Due({ job }: { readonly job: JobSummary }) {
  if (!job.due) return 'open';
  return (
    <Box component="span" sx={isLate(job) ? { color: 'error.main' } : undefined}>
      {dayWords(job.due)} · {leftWords(job.due)}
    </Box>
  );
}
