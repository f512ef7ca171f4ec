'use client';
import Alert from '@mui/material/Alert';
import { flushSync } from 'react-dom';
import { useDeferredValue, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { MeasuresProvider } from '../field/measures';
import { shownJob, useJob } from '../open-job/context';
import {
  CheckedProvider,
  DeskProvider,
  LiveDeskProvider,
  RangeProvider,
  useChecks,
  useDeskOf,
  type Desk,
} from '../open-job/use-desk';
import type { TextRange } from '@/core/job';
import { Opening } from './Opening';

interface Props {
  /** Of the state that is shown at first; left out, of what is no job of the shop’s. */
  readonly head?: number;
  /** Whether the piece is checked as it changes. */
  readonly checks?: boolean;
  readonly children: ReactNode;
}

/** The open job, drawn and checked, for what is within it. */
export function Workplace({ head, checks = true, children }: Props) {
  const job = useJob(shownJob);
  const side = useJob((s) => s.side);
  const show = useJob((s) => s.show);
  const record = useJob((s) => s.record);
  const typing = useJob((s) => s.typing);
  const { desk, problem } = useDeskOf(job, side, { record, typing });
  const range = useJob((s) => s.range);
  const { desk: deferred, range: deferredRange } = useDeferredDesk(desk, range);
  const measures = useJob((s) => s.job.measures);
  const checked = useChecks(checks ? desk : undefined);
  useEffect(() => {
    document.title = `${job.name} · Yellow Sheet`;
  }, [job.name]);
  // A side that is gone cannot be shown.
  useEffect(() => {
    if (desk && desk.surface.name !== side) show(desk.surface.name);
  }, [desk, show, side]);
  if (problem) {
    return (
      <Alert severity="error" sx={{ m: 4 }}>
        {problem} Reload the page to try again; the job itself is safe.
      </Alert>
    );
  }
  if (!desk) return <Opening current={head === undefined ? undefined : { job, head }} />;
  return (
    <LiveDeskProvider value={desk}>
      <DeskProvider value={deferred ?? desk}>
        <RangeProvider value={deferredRange}>
          <CheckedProvider value={checked}>
            <MeasuresProvider value={measures}>{children}</MeasuresProvider>
          </CheckedProvider>
        </RangeProvider>
      </DeskProvider>
    </LiveDeskProvider>
  );
}

/**
 * While something is dragged or typed, the sheet and the slip follow when there is time for them. Whoever puts the
 * hand to them finds them up to date: what is changed there is changed in the job as it stands.
 */
function useDeferredDesk(desk: Desk | undefined, range: TextRange | undefined) {
  const isBusy = useJob((s) => s.live !== undefined || s.typing !== undefined);
  const now = useMemo(() => ({ desk, range }), [desk, range]);
  const deferred = useDeferredValue(now);
  const [flushed, flush] = useState(now);
  const latest = useRef(now);
  useEffect(() => {
    latest.current = now;
  }, [now]);
  useEffect(() => {
    const hand = () => {
      flushSync(() => flush(latest.current));
    };
    window.addEventListener('pointerdown', hand, { capture: true });
    return () => window.removeEventListener('pointerdown', hand, { capture: true });
  }, []);
  return isBusy && flushed !== now ? deferred : now;
}
