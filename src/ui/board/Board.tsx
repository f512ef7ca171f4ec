'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { LayoutGrid, Rows3 } from 'lucide-react';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { FileButton } from '../field/FileButton';
import { warmUp } from '../open-job/resources';
import { wordsOf } from '../shell/api';
import { fetched } from '../shell/fetched';
import { Room } from '../shell/Room';
import { FACES } from '../shell/theme';
import { Queue } from './Queue';
import { SeveralBar } from './SeveralBar';
import { StageColumns } from './StageColumns';
import { useBoard } from './use-board';
import { useBoardView, type BoardView } from './use-view';

/** Forms are no part of what is seen first. */
const NewJob = fetched(async () => (await import('./NewJob')).NewJob);
const FromPdf = fetched(async () => (await import('../from-pdf/FromPdf')).FromPdf);
const JobTable = fetched(async () => (await import('./JobTable')).JobTable);

/** The shop’s jobs by stage and due date. */
export function Board() {
  const { jobs, openIt, onMake, ...actions } = useBoard();
  const { data, error, refetch } = jobs;
  const [search, setSearch] = useState('');
  const [making, setMaking] = useState(false);
  const [view, setView] = useBoardView();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [pdf, setPdf] = useState<File>();
  const open = (file: File) => (/\.pdf$/i.test(file.name) ? setPdf(file) : openIt(file));
  const wanted = useDeferredValue(search.trim().toLowerCase());
  const find = useRef<HTMLInputElement>(null);

  const found = useMemo(
    () =>
      (data?.jobs ?? []).filter((job) =>
        `${job.name} ${job.client} ${job.size} ${job.kind} ${job.printer}`.toLowerCase().includes(wanted),
      ),
    [data, wanted],
  );
  const isListed = data !== undefined;
  useEffect(() => {
    if (!isListed) return;
    const waiting = setTimeout(warmUp, 500);
    return () => clearTimeout(waiting);
  }, [isListed]);
  useBoardKeys(!making, { '/': () => find.current?.focus(), n: () => setMaking(true) });

  return (
    <Box
      sx={{ minHeight: '100dvh' }}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        const [file] = event.dataTransfer.files;
        if (file) open(file);
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
            <ViewChoice view={view} onChange={setView} />
            <FileButton size="medium" asks="Job, working file or PDF" accept=".zip,.json,.pdf" onFile={open}>
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
        <Queue />
        {!data && !error && <Loading />}
        {data?.jobs.length === 0 && <Nothing onNew={() => setMaking(true)} />}
        {data && data.jobs.length > 0 && found.length === 0 && (
          <Box sx={{ color: 'text.secondary' }}>No job has “{search}” in name, client, kind, size or printer.</Box>
        )}
        {found.length > 0 && view === 'cards' && <StageColumns jobs={found} {...actions} />}
        {found.length > 0 && view === 'table' && (
          <>
            <SeveralBar
              chosen={found.filter((job) => chosen.has(job.id))}
              onMake={onMake}
              onClear={() => setChosen(new Set())}
              {...actions}
            />
            <JobTable jobs={found} chosen={chosen} onChoose={setChosen} {...actions} />
          </>
        )}
      </Room>
      {pdf && <FromPdf file={pdf} printer="" onClose={() => setPdf(undefined)} />}
      <NewJob open={making} onClose={() => setMaking(false)} />
    </Box>
  );
}

/** Keys of the board, while nobody types. */
function useBoardKeys(isOn: boolean, keys: Readonly<Record<string, () => void>>) {
  const newest = useRef(keys);
  useEffect(() => {
    newest.current = keys;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isTyped = event.target instanceof HTMLInputElement && event.target.type !== 'checkbox';
      const act = isTyped || event.ctrlKey || event.metaKey || event.altKey ? undefined : newest.current[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    if (!isOn) return;
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [isOn]);
}

function ViewChoice({ view, onChange }: { readonly view: BoardView; readonly onChange: (view: BoardView) => void }) {
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={view}
      aria-label="Shown as"
      onChange={(_, to: BoardView | null) => to && onChange(to)}
    >
      <ToggleButton value="cards" aria-label="Cards" title="Cards" sx={{ py: 0.5 }}>
        <LayoutGrid size={18} aria-hidden />
      </ToggleButton>
      <ToggleButton value="table" aria-label="Table" title="Table" sx={{ py: 0.5 }}>
        <Rows3 size={18} aria-hidden />
      </ToggleButton>
    </ToggleButtonGroup>
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
