'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import dynamic from 'next/dynamic';
import { useSearchParams } from 'next/navigation';
import { memo, useCallback, useEffect, useRef, useState } from 'react';
import { Bench } from '../bench/Bench';
import { useBenchView, lookedAt } from '../view/bench-view';
import { PageStrip } from '../pages/PageStrip';
import { HintStrip } from '../bench/HintStrip';
import { SideTabs } from '../bench/SideTabs';
import { unsavedSince } from '@/core/save';
import { Palette } from '../palette/Palette';
import type { Command } from '../open-job/command';
import { commandsFor } from '../palette/commands';
import { useClipboard } from '../palette/use-clipboard';
import { useKeys } from '../palette/use-keys';
import { fetchWhenIdle, fetched } from '../shell/fetched';
import { useSay } from '../shell/Messages';
import { YellowSheet } from '../sheet/YellowSheet';
import { usePileView } from '../view/pile-view';
import { useSheetView } from '../view/sheet-view';
import { usePlateView } from '../view/plate-view';
import { STATIONS } from '../stations';
import { JobProvider, useJob, useJobStore } from '../open-job/context';
import { BENCH_BAR } from './bench-bar';
import { Header, SaveState } from './Header';
import { Workplace } from './Workplace';
import { Workspace } from './Workspace';
import { createJobStore, type JobStore } from '../open-job/store';
import { useAutosave } from '../open-job/use-autosave';
import { DeskProvider, RangeProvider, useDesk, useLiveDesk } from '../open-job/use-desk';
import { NotOpened } from './NotOpened';
import { Opening } from './Opening';
import type { Left } from '../open-job/journal';
import { openedJob, settleOlder, type Opened } from '../open-job/take-up';
import { warmUp } from '../open-job/resources';
import { useFiles } from '../open-job/use-files';
import type { CurrentJob } from '../shell/api';
import { pageCount } from '@/core/edit';

/** Three-dimensional drawing is fetched when somebody folds. */
const PieceDummy = dynamic(() => import('../dummy/PieceDummy'), {
  ssr: false,
  loading: () => <Waiting words="Fetching the folding dummy" />,
});
const SheetDummy = dynamic(() => import('../press-sheet/SheetDummy'), {
  ssr: false,
  loading: () => <Waiting words="Fetching the folding dummy" />,
});

const RulerDialog = fetched(() => import('../bench/RulerDialog').then((m) => m.RulerDialog));
const AddPrintable = fetched(() => import('../printable/AddPrintable').then((m) => m.AddPrintable));
const CopyTo = fetched(() => import('../size/CopyTo').then((m) => m.CopyTo));
const Compare = fetched(() => import('../versions/Compare').then((m) => m.Compare));
const Conflict = fetched(() => import('./Conflict').then((m) => m.Conflict));
const Search = fetched<{ readonly onClose: () => void }>(() => import('../search/Search').then((m) => m.Search));
const KeptBeside = fetched(() => import('./KeptBeside').then((m) => m.KeptBeside));

// Nobody waits for what every job needs: it comes while the page is made ready.
if (typeof window !== 'undefined') warmUp();

/**
 * One job: loaded, then worked on here until it is left.
 * @param given the job as the server had it when it answered for the page
 */
export function JobPage({ id, given }: { readonly id: string; readonly given: CurrentJob | undefined }) {
  const { data, error, refetch } = useQuery({
    queryKey: ['job', id],
    queryFn: () => openedJob(id, given),
    // The page holds the job from here on; saves say when somebody else changed it.
    staleTime: Infinity,
    gcTime: 0,
    refetchOnWindowFocus: false,
  });
  if (error) return <NotOpened id={id} error={error} onAgain={() => void refetch()} />;
  return data ? <OpenJob key={id} {...data} /> : <Opening current={given} />;
}

function Waiting({ words }: { readonly words: string }) {
  return (
    <Box
      role="status"
      sx={{
        display: 'grid',
        placeItems: 'center',
        height: '100%',
        gap: 1,
        alignContent: 'center',
        color: 'text.secondary',
      }}
    >
      <CircularProgress size={28} />
      {words}
    </Box>
  );
}

function OpenJob({ current, left, sitting, older }: Opened) {
  // A job that was just begun opens where its size is decided.
  const at = useSearchParams().get('at');
  const [store] = useState(() => createJobStore(current, STATIONS, at ?? undefined, left));
  // Said once: a reload goes on where one works.
  useEffect(() => {
    if (at) window.history.replaceState(null, '', window.location.pathname);
  }, [at]);
  useAutosave(store, sitting);
  useOlder(store, older);
  useEffect(
    () => () => {
      usePlateView.getState().reset();
      usePileView.getState().reset();
      useSheetView.getState().reset();
    },
    [],
  );
  return (
    <JobProvider value={store}>
      <Workplace head={current.head}>
        <Stations />
      </Workplace>
    </JobProvider>
  );
}

/** What older sittings left is kept beside the job as soon as the newest is saved. */
function useOlder(store: JobStore, older: readonly Left[]): void {
  const client = useQueryClient();
  useEffect(() => {
    if (older.length === 0) return;
    const settle = () => {
      const { saving, job } = store.getState();
      if (unsavedSince(saving) !== undefined) return;
      stop();
      void settleOlder(older).then(() => client.invalidateQueries({ queryKey: ['beside', job.id] }));
    };
    const stop = store.subscribe(settle);
    settle();
    return stop;
  }, [store, older, client]);
}

/** The bench follows the hand at once. */
function LiveBench() {
  const files = useFiles(lookedAt);
  return (
    <DeskProvider value={useLiveDesk()}>
      <RangeProvider value={useJob((s) => s.range)}>
        <Bench onDropFiles={(list, at) => void files(list, at)} />
      </RangeProvider>
    </DeskProvider>
  );
}

/** The piece flat, or folding; of a book, a sheet of it as the folder folds it. */
function Shown() {
  const { blank } = useDesk();
  const station = useJob((s) => s.station);
  const isPieceFolded = useJob((s) => s.folded);
  const isSheetFolded = useSheetView((v) => v.isShown && v.isFolded);
  if (station.folds && isPieceFolded && blank.folding) return <PieceDummy />;
  if (station.shows.has('imposed') && isSheetFolded) return <SheetDummy otherwise={<LiveBench />} />;
  return <LiveBench />;
}

/** Says what a template does not allow. */
function useRefusals() {
  const refused = useJob((s) => s.refused);
  const say = useSay();
  useEffect(() => {
    if (refused) say({ tone: 'problem', text: refused.problem });
  }, [refused, say]);
}

/** Says why something is not on the server, and that it is there again. */
function useSaveProblems() {
  const problem = useJob(({ saving: { phase } }) => ('problem' in phase ? phase.problem : undefined));
  const isSaved = useJob((s) => s.saving.phase.is === 'saved');
  const said = useRef(false);
  const say = useSay();
  useEffect(() => {
    if (problem === undefined) return;
    said.current = true;
    say({ tone: 'problem', text: problem });
  }, [problem, say]);
  useEffect(() => {
    if (!isSaved || !said.current) return;
    said.current = false;
    say({ tone: 'done', text: 'Everything is on the server again.' });
  }, [isSaved, say]);
}

/** The way back to the sheet, and whether all is saved, where the head of the page is put away. */
function Alone() {
  const toggle = useBenchView((v) => v.toggle);
  return (
    <Box sx={{ ml: 'auto', display: 'flex', gap: 1.5, alignItems: 'center' }}>
      <SaveState />
      <Button size="small" variant="outlined" onClick={() => toggle('full')}>
        Bring the sheet back
      </Button>
    </Box>
  );
}

const Stations = memo(function Stations() {
  useRefusals();
  useSaveProblems();
  const store = useJobStore();
  const desk = useDesk();
  const station = useJob((s) => s.station);
  const phase = useJob((s) => s.saving.phase);
  const files = useFiles(lookedAt);
  const [palette, setPalette] = useState(false);
  const [ruler, setRuler] = useState(false);
  const [comparing, setComparing] = useState(false);
  const [copying, setCopying] = useState(false);
  const [searching, setSearching] = useState(false);
  const [beside, setBeside] = useState(false);
  const [printing, setPrinting] = useState(false);
  const previous = useJob((s) => s.job.previous);
  const input = useRef<HTMLInputElement>(null);

  // Made at each key press and opening of the palette, from what is true then.
  const commands = useCallback(
    (): readonly Command[] =>
      commandsFor({
        store,
        desk,
        openPalette: () => setPalette(true),
        choosePicture: () => {
          store.getState().goWhere('opens');
          input.current?.click();
        },
        calibrate: () => setRuler(true),
        compare: () => setComparing(true),
        lookBeside: () => setBeside(true),
        copyTo: () => setCopying(true),
        search: () => {
          if (store.getState().station.Page) store.getState().goWhere('opens');
          setSearching(true);
        },
        addPrintable: () => setPrinting(true),
      }),
    [store, desk],
  );
  const isOff = useCallback(
    () => palette || ruler || comparing || beside || copying || printing || store.getState().typing !== undefined,
    [palette, ruler, comparing, beside, copying, printing, store],
  );
  useKeys(commands, isOff);
  useClipboard(
    isOff,
    useCallback((list: readonly File[]) => void files(list), [files]),
  );

  useEffect(fetchWhenIdle, []);
  const isFull = useBenchView((v) => v.full);
  const { Page, Bar } = station;
  // The piece has the window to itself.
  const isAlone = isFull && !Page;
  const props = { commands, onCopy: () => setCopying(true) };
  return (
    <Box sx={{ height: '100dvh', display: 'flex', flexDirection: 'column', overflow: 'hidden' }}>
      {!isAlone && <Header onPalette={() => setPalette(true)} onBeside={() => setBeside(true)} />}
      <Workspace sheet={!isAlone && <YellowSheet {...props} />}>
        {Page ? (
          <Page />
        ) : (
          <>
            <Box sx={BENCH_BAR}>
              <SideTabs commands={commands} />
              {Bar && <Bar {...props} />}
              {isAlone && <Alone />}
            </Box>
            {pageCount(desk.piece) !== undefined && <PageStrip />}
            <Box sx={{ flex: 1, position: 'relative', minHeight: 0 }}>
              <Shown />
              {searching && <Search onClose={() => setSearching(false)} />}
            </Box>
            <HintStrip />
          </>
        )}
      </Workspace>
      <input
        ref={input}
        hidden
        multiple
        type="file"
        accept="image/jpeg,image/png,image/tiff,image/webp,image/svg+xml,application/pdf,.ttf,.otf,.woff2"
        aria-label="Pictures, drawings, PDFs and fonts to bring in"
        onChange={(event) => {
          void files([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
      <Palette open={palette} commands={commands} onClose={() => setPalette(false)} />
      {ruler && (
        <RulerDialog
          onClose={() => setRuler(false)}
          onDone={() => useBenchView.getState().atTrueSize(desk.surface.boxes.trim)}
        />
      )}
      {printing && <AddPrintable onClose={() => setPrinting(false)} />}
      {copying && <CopyTo onClose={() => setCopying(false)} />}
      {comparing && previous && <Compare previous={previous} onClose={() => setComparing(false)} />}
      {beside && <KeptBeside onClose={() => setBeside(false)} />}
      {phase.is === 'conflict' && <Conflict conflict={phase} />}
    </Box>
  );
});
