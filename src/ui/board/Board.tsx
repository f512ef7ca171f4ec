'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { STAGES, begunFrom, type Job, type JobSummary } from '@/core/job';
import { FileButton } from '../field/FileButton';
import { Room } from '../shell/Room';
import { useSay } from '../shell/Messages';
import { api, wordsOf } from '../shell/api';
import { openFile } from '../shell/bring-in';
import { COLOURS, FACES } from '../shell/theme';
import { warmUp } from '../open-job/resources';
import { JobCard } from './JobCard';
import { NewJob } from './NewJob';
import { nextVersion } from '@/core/edit';

const STAGE_WORDS: Readonly<Record<string, string>> = {
  brief: 'Briefed',
  'in work': 'In work',
  checked: 'Checked',
  sent: 'Sent',
  template: 'Templates',
};

const COLUMNS = { xs: '1fr', sm: 'repeat(2, 1fr)', lg: 'repeat(4, 1fr)' };

/** Cards shown of a stage before the rest is asked for. */
const SHOWN = 40;

/** The shop’s jobs by stage and due date. */
export function Board() {
  const { data, error, refetch } = useQuery({ queryKey: ['jobs'], queryFn: api.jobs, refetchOnMount: 'always' });
  const [search, setSearch] = useState('');
  const [making, setMaking] = useState(false);
  const wanted = useDeferredValue(search.trim().toLowerCase());
  const router = useRouter();
  const client = useQueryClient();
  const say = useSay();
  const find = useRef<HTMLInputElement>(null);

  const found = useMemo(
    () => (data?.jobs ?? []).filter((job) => `${job.name} ${job.client} ${job.size}`.toLowerCase().includes(wanted)),
    [data, wanted],
  );
  const isListed = data !== undefined;
  useEffect(() => {
    if (!isListed) return;
    const waiting = setTimeout(warmUp, 500);
    return () => clearTimeout(waiting);
  }, [isListed]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLInputElement || making) return;
      if (event.key === '/') {
        event.preventDefault();
        find.current?.focus();
      }
      if (event.key === 'n') {
        event.preventDefault();
        setMaking(true);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [making]);

  const openIt = async (file: File) => {
    try {
      router.push(`/jobs/${(await openFile(file)).id}`);
    } catch (problem) {
      say({ tone: 'problem', text: wordsOf(problem) });
    }
  };
  /** A job made of another: of a template, its slots to fill; of a job, its next version. */
  const next = async ({ id, stage }: JobSummary) => {
    const isTemplate = stage === 'template';
    try {
      const { job, head } = await api.current(id);
      const made: Job = isTemplate
        ? begunFrom(job, crypto.randomUUID(), head, job.name)
        : nextVersion(job, crypto.randomUUID(), head);
      const begun = await api.create(made, `${isTemplate ? 'Begun from' : 'Next version of'} ${job.name}`);
      router.push(`/jobs/${begun.id}?at=lay-out`);
    } catch (problem) {
      say({ tone: 'problem', text: wordsOf(problem) });
    }
  };
  const remove = async (job: JobSummary) => {
    try {
      await api.remove(job.id);
      await client.invalidateQueries({ queryKey: ['jobs'] });
      const putBack = async () => {
        try {
          await api.putBack(job.id);
          await client.invalidateQueries({ queryKey: ['jobs'] });
        } catch (problem) {
          say({ tone: 'problem', text: wordsOf(problem) });
        }
      };
      say({
        tone: 'done',
        text: `“${job.name}” was taken off the board.`,
        action: { label: 'Put back', run: () => void putBack() },
      });
    } catch (problem) {
      say({ tone: 'problem', text: wordsOf(problem) });
    }
  };

  return (
    <Box
      sx={{ minHeight: '100dvh' }}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) void openIt(file);
      }}
    >
      <Room
        here="/"
        title="Jobs"
        tools={
          <>
            <TextField
              inputRef={find}
              value={search}
              onChange={(event) => setSearch(event.target.value)}
              placeholder="Find a job   /"
              variant="outlined"
              sx={{ width: 240, '& input': { py: 0.75 } }}
              slotProps={{ htmlInput: { 'aria-label': 'Find a job' } }}
            />
            <FileButton
              size="medium"
              asks="Job or working file"
              accept=".zip,.json"
              onFile={(file) => void openIt(file)}
            >
              Open a file
            </FileButton>
            <Button variant="contained" onClick={() => setMaking(true)} title="n">
              New job
            </Button>
          </>
        }
      >
        {error && (
          <Alert severity="error" sx={{ mb: 2 }} action={<Button onClick={() => void refetch()}>Try again</Button>}>
            {wordsOf(error)}
          </Alert>
        )}
        {!data && !error && <Loading />}
        {data?.jobs.length === 0 && <Nothing onNew={() => setMaking(true)} />}
        {data && data.jobs.length > 0 && found.length === 0 && (
          <Box sx={{ color: 'text.secondary' }}>No job has “{search}” in its name, client or size.</Box>
        )}
        {found.length > 0 && (
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: COLUMNS,
              gap: 2.5,
              alignItems: 'start',
            }}
          >
            {STAGES.map((stage) => {
              const jobs = byDue(found.filter((j) => j.stage === stage));
              const isTemplates = stage === 'template';
              if (isTemplates && jobs.length === 0) return null;
              return (
                <Stage
                  key={stage}
                  title={STAGE_WORDS[stage] ?? stage}
                  across={isTemplates}
                  jobs={jobs}
                  onRemove={(job) => void remove(job)}
                  onNext={(job) => void next(job)}
                />
              );
            })}
          </Box>
        )}
      </Room>
      <NewJob open={making} onClose={() => setMaking(false)} />
    </Box>
  );
}

/** The most urgent first; those without a date last. */
const byDue = (jobs: readonly JobSummary[]) =>
  [...jobs].sort((a, b) => (a.due ?? '9999').localeCompare(b.due ?? '9999'));

function Stage({
  title,
  across,
  jobs,
  onRemove,
  onNext,
}: {
  readonly title: string;
  /** A row above the columns: what is at hand, and not on its way. */
  readonly across: boolean;
  readonly jobs: readonly JobSummary[];
  readonly onRemove: (job: JobSummary) => void;
  readonly onNext: (job: JobSummary) => void;
}) {
  const [all, setAll] = useState(false);
  const shown = all ? jobs : jobs.slice(0, SHOWN);
  return (
    <Box component="section" aria-label={title} sx={across ? { order: -1, gridColumn: '1 / -1' } : undefined}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'baseline',
          gap: 1,
          borderBottom: `2px solid ${COLOURS.ink}`,
          pb: 0.5,
          mb: 1.5,
        }}
      >
        <Box component="h2" sx={{ m: 0, fontSize: 15, fontWeight: 700 }}>
          {title}
        </Box>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 13, color: 'text.secondary' }}>{jobs.length}</Box>
      </Box>
      <Box sx={{ display: 'grid', gap: across ? 2.5 : 1.5, ...(across && { gridTemplateColumns: COLUMNS }) }}>
        {jobs.length === 0 && <Box sx={{ fontSize: 13.5, color: 'text.secondary' }}>None</Box>}
        {shown.map((job) => (
          <JobCard key={job.id} job={job} onRemove={() => onRemove(job)} onNext={() => onNext(job)} />
        ))}
        {shown.length < jobs.length && (
          <Button onClick={() => setAll(true)}>Show {jobs.length - shown.length} more</Button>
        )}
      </Box>
    </Box>
  );
}

function Loading() {
  return (
    <Box
      role="status"
      aria-label="Loading the jobs"
      sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 2.5 }}
    >
      {[0, 1, 2, 3].map((i) => (
        <Skeleton key={i} variant="rectangular" height={220} />
      ))}
    </Box>
  );
}

function Nothing({ onNew }: { readonly onNew: () => void }) {
  return (
    <Box sx={{ maxWidth: 520, py: 6 }}>
      <Box sx={{ fontFamily: FACES.title, fontWeight: 700, fontSize: 22, mb: 1 }}>No jobs yet</Box>
      <Box sx={{ mb: 2 }}>
        Begin one from its finished size: the sheet works out bleed, safe area, pixels and the rest, and checks what you
        lay on it. A working file from elsewhere can be dropped anywhere on this page.
      </Box>
      <Button variant="contained" onClick={onNew}>
        New job
      </Button>
    </Box>
  );
}
