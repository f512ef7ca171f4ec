import './document';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, configure, render, type RenderResult } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { AppRouterContext } from 'next/dist/shared/lib/app-router-context.shared-runtime.js';
import type { ReactNode } from 'react';
import { paintBook, type Resources } from '@/core/compose';
import { pieceOf } from '@/core/edit';
import { elementsOf, type Job } from '@/core/job';
import { recordSet, withRecord } from '@/core/records';
import { openDesk } from '@/output';
import { MeasuresProvider } from '@/ui/field/measures';
import { JobProvider, shownJob, useJob } from '@/ui/open-job/context';
import { defineStation } from '@/ui/open-job/station';
import { createJobStore, type JobStore } from '@/ui/open-job/store';
import {
  CheckedProvider,
  DeskProvider,
  LiveDeskProvider,
  RangeProvider,
  type Checked,
  type Desk,
} from '@/ui/open-job/use-desk';
import { MessageProvider } from '@/ui/shell/Messages';
import { theme } from '@/ui/shell/theme';
import { drawnJobOf } from './drawn';
import { inMemory, makeJob } from './jobs';
import { shortNameOf } from '@/core/element';

// The whole page beneath a message hides it. A busy machine is late: a limit is for what hangs.
configure({
  asyncUtilTimeout: 60_000,
  defaultHidden: true,
  getElementError: (message) => new Error(message?.split('\n')[0] ?? ''),
});

let resources: Resources | undefined;

/** What jobs are drawn with, opened once. */
async function resourcesOf(): Promise<Resources> {
  resources ??= (await openDesk(makeJob(), inMemory())).resources;
  return resources;
}

/** A part of the page with a job that is open in it, and a person before it. */
export interface OnPage extends RenderResult {
  readonly user: UserEvent;
  readonly store: JobStore;
  /** The job as it is by now. */
  readonly job: () => Job;
}

/** Where the page was led to. */
export const went: string[] = [];

const nowhere = () => undefined;
const ROUTER = {
  push: (to: string) => void went.push(to),
  replace: (to: string) => void went.push(to),
  back: nowhere,
  forward: nowhere,
  refresh: nowhere,
  prefetch: nowhere,
  bfcacheId: '',
};

/** Something on the page, without a job. */
export function shown(part: ReactNode): RenderResult & { readonly user: UserEvent } {
  // The files of one process share what they load: each part begins on an empty page.
  cleanup();
  went.length = 0;
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const around = (inner: ReactNode) => (
    <AppRouterContext.Provider value={ROUTER}>
      <QueryClientProvider client={client}>
        <ThemeProvider theme={theme}>
          <MessageProvider>{inner}</MessageProvider>
        </ThemeProvider>
      </QueryClientProvider>
    </AppRouterContext.Provider>
  );
  const result = render(around(part));
  return { ...result, rerender: (next) => result.rerender(around(next)), user: userEvent.setup({ delay: null }) };
}

const HERE = [
  defineStation({ id: 'lay-out', title: 'Lay out', opens: true, steps: true }),
  defineStation({ id: 'inspect', title: 'Inspect', inspects: true }),
];

/** A part of the page for an open job, with everything drawn as on the bench. */
export async function onPage(
  part: ReactNode,
  job: Job,
  at: { readonly selection?: readonly string[]; readonly findings?: Checked['findings'] } = {},
): Promise<OnPage> {
  const drawnWith = await resourcesOf();
  const store = createJobStore({ head: 1, job, undo: [], redo: [] }, HERE);
  if (at.selection) store.getState().select(at.selection);
  const result = shown(
    <JobProvider value={store}>
      <Drawn resources={drawnWith} findings={at.findings ?? []}>
        {part}
      </Drawn>
    </JobProvider>,
  );
  return { ...result, store, job: () => store.getState().job };
}

interface DrawnProps {
  readonly resources: Resources;
  readonly findings: Checked['findings'];
  readonly children: ReactNode;
}

/** The desk of the job as it is shown, drawn anew at each change. */
function Drawn({ resources: drawnWith, findings, children }: DrawnProps) {
  const job = useJob(shownJob);
  const range = useJob((s) => s.range);
  const record = useJob((s) => s.record);
  const records = recordSet(job, () => undefined);
  const filled = withRecord(job, records && record !== undefined ? records.at(record) : undefined);
  const { job: _job, piece: _piece, ...drawn } = drawnJobOf(filled, drawnWith);
  const desk: Desk = {
    ...drawn,
    job,
    piece: pieceOf(job),
    records,
    filled,
    paints: paintBook(drawnWith.colour, job),
    beside: undefined,
    drawingOf: () => drawn.drawing,
    nameIn: (id) => {
      const found = elementsOf(pieceOf(job)).find(({ element }) => element.id === id);
      return found && shortNameOf(found.element);
    },
  };
  return (
    <LiveDeskProvider value={desk}>
      <DeskProvider value={desk}>
        <RangeProvider value={range}>
          <CheckedProvider value={{ of: job, findings }}>
            <MeasuresProvider value={job.measures}>{children}</MeasuresProvider>
          </CheckedProvider>
        </RangeProvider>
      </DeskProvider>
    </LiveDeskProvider>
  );
}
