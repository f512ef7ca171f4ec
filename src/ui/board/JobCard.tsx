'use client';
import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import { useQuery } from '@tanstack/react-query';
import Link from 'next/link';
import type { JobSummary } from '@/core/job';
import { counted } from '@/core/measure';
import { leftJobs } from '../open-job/journal';
import { clockWords, daysTo, dueWords } from '../shell/moments';
import { COLOURS, FACES } from '../shell/theme';
import { JobMenu, type JobActions } from './JobMenu';
import { NotMade } from './NotMade';
import { Standing } from './Standing';
import { Thumbnail } from './Thumbnail';
import { useThumbnail } from './use-thumbnail';

/** A job on the board: how it looks, when it is due, and what stands in its way. */
export function JobCard({ job, ...actions }: JobActions & { readonly job: JobSummary }) {
  const picture = useThumbnail(job);
  const { data: left } = useQuery({ queryKey: ['left'], queryFn: leftJobs, staleTime: 0 });
  const since = left?.get(job.id);
  return (
    <Paper
      component="article"
      sx={{
        position: 'relative',
        display: 'flex',
        border: `1px solid ${COLOURS.line}`,
        overflow: 'hidden',
        '&:hover': { borderColor: COLOURS.ink },
      }}
    >
      <Box sx={{ width: 92, flex: 'none', bgcolor: COLOURS.bench, display: 'grid', placeItems: 'center', p: 1 }}>
        <Thumbnail picture={picture} most={104} />
      </Box>
      <Box sx={{ p: 1.25, minWidth: 0, flex: 1, display: 'flex', flexDirection: 'column', gap: 0.25 }}>
        <Box component={Link} href={`/jobs/${job.id}`} draggable={false} sx={LINK}>
          {job.name}
        </Box>
        <Box sx={{ fontSize: 13, color: 'text.secondary', lineHeight: 1.25 }}>{job.client}</Box>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 12, mt: 0.5 }}>{job.size}</Box>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 12, ...(isLate(job) && { color: 'error.main' }) }}>
          {dueWords(job.due)}
        </Box>
        {job.behind && (
          <Box sx={{ fontSize: 12.5, color: 'error.main', fontWeight: 600, lineHeight: 1.25 }}>
            ▲ {job.behind.step} {counted(job.behind.by, 'day')} behind
          </Box>
        )}
        {since !== undefined && (
          <Box role="note" sx={{ fontSize: 12.5, color: 'warning.main', fontWeight: 600, lineHeight: 1.25 }}>
            ▲ Changes since {clockWords(since)} are only in this browser; open it to save them.
          </Box>
        )}
        {picture.error && <NotMade what="drawn" name={job.name} error={picture.error} onAgain={picture.again} />}
        <Box sx={{ display: 'flex', alignItems: 'end', justifyContent: 'space-between', gap: 1, mt: 'auto' }}>
          <Standing job={job} />
          <JobMenu job={job} {...actions} />
        </Box>
      </Box>
    </Paper>
  );
}

/** What is sent is late no more. */
export const isLate = ({ due, stage }: JobSummary): boolean => due !== null && stage !== 'sent' && daysTo(due) < 0;

/** The whole card opens the job. */
const LINK = {
  fontWeight: 700,
  lineHeight: 1.2,
  color: 'inherit',
  textDecoration: 'none',
  overflowWrap: 'anywhere',
  '&::after': { content: '""', position: 'absolute', inset: 0 },
};
