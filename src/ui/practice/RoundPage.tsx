'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Mark } from '@/core/practice';
import { pageCount } from '@/core/edit';
import { counted } from '@/core/measure';
import { Bench } from '../bench/Bench';
import { SideTabs } from '../bench/SideTabs';
import { BENCH_BAR } from '../job-page/bench-bar';
import { HeaderBar } from '../job-page/Header';
import { Opening } from '../job-page/Opening';
import { Workplace } from '../job-page/Workplace';
import { Workspace } from '../job-page/Workspace';
import { JobProvider, useJob, useJobStore } from '../open-job/context';
import { createJobStore } from '../open-job/store';
import { useDesk } from '../open-job/use-desk';
import { PageStrip } from '../pages/PageStrip';
import { commandsFor } from '../palette/commands';
import { useKeys } from '../palette/use-keys';
import { api, wordsOf, type OpenRound } from '../shell/api';
import { useSay } from '../shell/Messages';
import { YellowSheet } from '../sheet/YellowSheet';
import { usePileView } from '../view/pile-view';
import { usePlateView } from '../view/plate-view';
import { RoundProvider, useRound, type RoundState } from './round';
import { ROUND_STATIONS } from './round-stations';

const PieceDummy = dynamic(() => import('../dummy/PieceDummy'), { ssr: false });

/** A spoilt piece on the bench, for somebody who looks for what is wrong with it. */
export function RoundPage({ id }: { readonly id: string }) {
  const key = useMemo(() => ['round', id], [id]);
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () => api.round(id),
    staleTime: Infinity,
    refetchOnWindowFocus: false,
  });
  const client = useQueryClient();
  if (error)
    return (
      <Alert severity="error" sx={{ m: 4 }}>
        {wordsOf(error)} <Link href="/practice">To Practice</Link>
      </Alert>
    );
  if (!data) return <Opening current={undefined} />;
  return <OpenedRound key={id} round={data} onChange={(round) => client.setQueryData(key, round)} />;
}

interface Props {
  readonly round: OpenRound;
  readonly onChange: (round: OpenRound) => void;
}

function OpenedRound({ round, onChange }: Props) {
  const { id, job } = round;
  const [store] = useState(() => createJobStore({ head: 0, job, undo: [], redo: [] }, ROUND_STATIONS));
  const [marks, setMarks] = useState<readonly Mark[]>(round.result?.marks ?? []);
  const [isHandingIn, setHandingIn] = useState(false);
  const client = useQueryClient();
  const say = useSay();
  useEffect(
    () => () => {
      usePlateView.getState().reset();
      usePileView.getState().reset();
    },
    [],
  );
  const handIn = useCallback(async () => {
    setHandingIn(true);
    try {
      onChange(await api.handIn(id, marks));
      void client.invalidateQueries({ queryKey: ['practice'] });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    } finally {
      setHandingIn(false);
    }
  }, [id, marks, onChange, client, say]);
  const state = useMemo<RoundState>(
    () => ({ round, marks, setMarks, handIn, isHandingIn }),
    [round, marks, handIn, isHandingIn],
  );
  return (
    <RoundProvider value={state}>
      <JobProvider value={store}>
        <Workplace checks={false}>
          <Table />
        </Workplace>
      </JobProvider>
    </RoundProvider>
  );
}

/** Commands of a job that look and choose; nothing is changed with them. */
const LOOKING: readonly string[] = ['select-next', 'select-previous', 'select-none'];
const ELSEWHERE: readonly string[] = ['compare', 'beside', 'search', 'copy-to', 'palette', 'full', 'calibrate'];

const nothing = () => undefined;

/** The piece with the ways to look at it. */
function Table() {
  const store = useJobStore();
  const desk = useDesk();
  const station = useJob((s) => s.station);
  const isFolded = useJob((s) => s.folded);
  const commands = useCallback(
    () =>
      commandsFor({
        store,
        desk,
        openPalette: nothing,
        choosePicture: nothing,
        calibrate: nothing,
        compare: nothing,
        lookBeside: nothing,
        copyTo: nothing,
        search: nothing,
        addPrintable: nothing,
      }).filter(
        ({ id, group }) => ((group === 'Go' || group === 'Look') && !ELSEWHERE.includes(id)) || LOOKING.includes(id),
      ),
    [store, desk],
  );
  useKeys(commands, never);
  const props = { commands, onCopy: nothing };
  const { Bar } = station;
  return (
    <Box sx={{ height: '100dvh', display: 'flex', flexDirection: 'column', overflow: 'hidden' }}>
      <RoundHead />
      <Workspace sheet={<YellowSheet {...props} />}>
        <Box sx={BENCH_BAR}>
          <SideTabs commands={commands} />
          {Bar && <Bar {...props} />}
        </Box>
        {pageCount(desk.piece) !== undefined && <PageStrip />}
        <Box sx={{ flex: 1, position: 'relative', minHeight: 0 }}>
          {station.folds && isFolded && desk.blank.folding ? <PieceDummy /> : <Bench onDropFiles={nothing} />}
        </Box>
      </Workspace>
    </Box>
  );
}

const never = () => false;

function RoundHead() {
  const { round } = useRound();
  const stations = useJob((s) => s.stations);
  const station = useJob((s) => s.station);
  const go = useJob((s) => s.go);
  const asked = `${counted(round.faults, 'fault')}, level ${round.level}`;
  return (
    <HeaderBar>
      <Box component="h1" sx={{ m: 0, fontSize: 16, fontWeight: 600, whiteSpace: 'nowrap' }}>
        Practice: {round.piece}
      </Box>
      <Box sx={{ fontSize: 14, color: 'text.secondary', whiteSpace: 'nowrap' }}>
        {round.learner} · {asked}
      </Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label="What is looked at"
        value={station.id}
        onChange={(_event, id: string | null) => {
          const to = stations.find((one) => one.id === id);
          if (to) go(to);
        }}
        sx={{ ml: 'auto' }}
      >
        {stations.map(({ id, title }, i) => (
          <ToggleButton key={id} value={id} title={`Alt+${i + 1}`} sx={{ px: 2, py: 0.25, fontWeight: 600 }}>
            {title}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Button component={Link} href="/practice" variant="outlined" size="small" sx={{ bgcolor: 'background.paper' }}>
        To Practice
      </Button>
    </HeaderBar>
  );
}
