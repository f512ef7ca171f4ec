'use client';
import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { standingOf } from '@/core/check';
import type { JobSummary } from '@/core/job';
import { api } from '../shell/api';
import { NotMade } from './NotMade';

/** Letters of a finding that have room. */
const ROOM = 64;

/** What stands in a job’s way. Where the server does not know yet, it is asked to check. */
export function Standing({ job }: { readonly job: JobSummary }) {
  const asked = useRef(0);
  const checks = useQuery({
    queryKey: ['findings', job.id, job.head],
    // What was stopped is tried again only when somebody wants that.
    queryFn: async () => standingOf((await api.findings(job.id, job.head, (asked.current += 1) > 1)).findings),
    enabled: job.standing === null,
    staleTime: Infinity,
    refetchOnMount: false,
    refetchOnWindowFocus: false,
  });
  if (checks.error)
    return <NotMade what="checked" name={job.name} error={checks.error} onAgain={() => void checks.refetch()} />;
  const standing = job.standing ?? checks.data;
  const open = standing ? standing.faults + standing.warnings : 0;
  const tone = !open ? 'secondary.main' : standing?.faults ? 'error.main' : 'warning.main';
  return (
    <Box sx={{ fontSize: 12.5, color: tone, fontWeight: 600, lineHeight: 1.25, minHeight: '1.25em' }}>
      {standing && (open === 0 ? '✓ nothing open' : words(standing.faults > 0, open, standing.first ?? ''))}
    </Box>
  );
}

const words = (isFault: boolean, open: number, first: string): string =>
  `${isFault ? '✕' : '▲'} ${open} open: ${first.length > ROOM ? `${first.slice(0, ROOM)}…` : first}`;
