'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import { useQuery } from '@tanstack/react-query';
import Link from 'next/link';
import type { JobSummary } from '@/core/job';
import { useRef } from 'react';
import { leftJobs } from '../open-job/journal';
import { api } from '../shell/api';
import { COLOURS, FACES } from '../shell/theme';
import { dueWords } from '../shell/due';
import { NotMade } from './NotMade';
import { useThumbnail } from './use-thumbnail';

/** A job on the board: how it looks, when it is due, and what stands in its way. */
interface Props {
  readonly job: JobSummary;
  readonly onRemove: () => void;
  /** Begins a job from it: its next version, or one that fills the slots of a template. */
  readonly onNext: () => void;
}

const SMALL = { zIndex: 1, minHeight: 0, minWidth: 0, fontSize: 12, color: 'text.secondary', p: 0.25 };

export function JobCard({ job, onRemove, onNext }: Props) {
  const asked = useRef(0);
  const checks = useQuery({
    queryKey: ['findings', job.id, job.head],
    // What was stopped is tried again only when somebody wants that.
    queryFn: () => api.findings(job.id, job.head, (asked.current += 1) > 1),
    staleTime: Infinity,
    refetchOnMount: false,
    refetchOnWindowFocus: false,
  });
  const { data } = checks;
  const picture = useThumbnail(job);
  const { data: left } = useQuery({ queryKey: ['left'], queryFn: leftJobs, staleTime: 0 });
  const since = left?.get(job.id);
  const open = data?.findings.filter((f) => f.severity !== 'note') ?? [];
  const [first] = open;
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
        {/* eslint-disable-next-line @next/next/no-img-element -- made by our own server, already small */}
        <img
          src={picture.src}
          alt=""
          onError={picture.onError}
          hidden={picture.error !== null}
          style={{ maxWidth: '100%', maxHeight: 104, boxShadow: '0 2px 5px rgb(27 35 52 / 0.3)' }}
        />
      </Box>
      <Box sx={{ p: 1.25, minWidth: 0, flex: 1, display: 'flex', flexDirection: 'column', gap: 0.25 }}>
        <Box
          component={Link}
          href={`/jobs/${job.id}`}
          sx={{
            fontWeight: 700,
            lineHeight: 1.2,
            color: 'inherit',
            textDecoration: 'none',
            overflowWrap: 'anywhere',
            '&::after': { content: '""', position: 'absolute', inset: 0 },
          }}
        >
          {job.name}
        </Box>
        <Box sx={{ fontSize: 13, color: 'text.secondary', lineHeight: 1.25 }}>{job.client}</Box>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 12, mt: 0.5 }}>{job.size}</Box>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 12 }}>{dueWords(job.due)}</Box>
        {since !== undefined && (
          <Box role="note" sx={{ fontSize: 12.5, color: 'warning.main', fontWeight: 600, lineHeight: 1.25 }}>
            ▲ Changes since {new Date(since).toLocaleTimeString('en-GB')} are only in this browser; open it to save
            them.
          </Box>
        )}
        {picture.error && <NotMade what="drawn" name={job.name} error={picture.error} onAgain={picture.again} />}
        {checks.error && (
          <NotMade what="checked" name={job.name} error={checks.error} onAgain={() => void checks.refetch()} />
        )}
        <Box
          hidden={checks.error !== null}
          sx={{
            fontSize: 12.5,
            color: first ? (first.severity === 'fault' ? 'error.main' : 'warning.main') : 'secondary.main',
            fontWeight: 600,
            lineHeight: 1.25,
          }}
        >
          {!data
            ? ' '
            : first
              ? `${first.severity === 'fault' ? '✕' : '▲'} ${open.length} open: ${first.message}`.slice(0, 78)
              : '✓ nothing open'}
        </Box>
        <Box sx={{ display: 'flex', justifyContent: 'flex-end', gap: 1.5, mt: 'auto' }}>
          {job.stage === 'template' ? (
            <Button size="small" onClick={onNext} aria-label={`Begin a job from ${job.name}`} sx={SMALL}>
              begin from it
            </Button>
          ) : (
            <Button size="small" onClick={onNext} aria-label={`Begin the next version of ${job.name}`} sx={SMALL}>
              next version
            </Button>
          )}
          <Button size="small" onClick={onRemove} aria-label={`Take ${job.name} off the board`} sx={SMALL}>
            take off
          </Button>
        </Box>
      </Box>
    </Paper>
  );
}
