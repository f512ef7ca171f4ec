'use client';
import {
  DndContext,
  DragOverlay,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { STAGES, type JobSummary, type Stage } from '@/core/job';
import { announcementsOf, PULL } from '../shell/Sortable';
import { COLOURS, FACES } from '../shell/theme';
import { JobCard } from './JobCard';
import type { JobActions } from './JobMenu';
import { STAGE_WORDS } from './stages';

export const COLUMNS = { xs: '1fr', sm: 'repeat(2, 1fr)', lg: 'repeat(4, 1fr)' };

/** Cards shown of a stage before the rest is asked for. */
const SHOWN = 40;

interface Props extends JobActions {
  readonly jobs: readonly JobSummary[];
}

/**
 * Jobs as cards under their stages, the most urgent first. A card is drawn to another stage by hand; by keyboard its
 * menu moves it.
 */
export function StageColumns({ jobs, ...actions }: Props) {
  const [drawn, setDrawn] = useState<JobSummary>();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: PULL } }));
  const byStage = useMemo(
    () => new Map(STAGES.map((stage) => [stage, byDue(jobs.filter((j) => j.stage === stage))])),
    [jobs],
  );
  return (
    <DndContext
      // What the package numbers itself differs between the server’s page and the browser’s.
      id="board"
      sensors={sensors}
      accessibility={{ announcements: announcementsOf((id) => nameOf(jobs, id)) }}
      onDragStart={({ active }) => setDrawn(jobs.find((j) => j.id === active.id))}
      onDragCancel={() => setDrawn(undefined)}
      onDragEnd={({ over }) => {
        const stage = STAGES.find((s) => s === over?.id);
        if (drawn && stage && stage !== drawn.stage) actions.onMove([drawn], stage);
        setDrawn(undefined);
      }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: COLUMNS, gap: 2.5, alignItems: 'stretch' }}>
        {STAGES.map((stage) => {
          const here = byStage.get(stage) ?? [];
          if (stage === 'template' && here.length === 0) return null;
          return <Column key={stage} stage={stage} jobs={here} {...actions} />;
        })}
      </Box>
      <DragOverlay dropAnimation={null}>{drawn && <JobCard job={drawn} {...actions} />}</DragOverlay>
    </DndContext>
  );
}

/** What a card or a column is called. */
const nameOf = (jobs: readonly JobSummary[], id: string) => {
  const stage = STAGES.find((s) => s === id);
  return stage ? STAGE_WORDS[stage] : (jobs.find((j) => j.id === id)?.name ?? '');
};

/** The most urgent first; those without a date last. */
const byDue = (jobs: readonly JobSummary[]) =>
  [...jobs].sort((a, b) => (a.due ?? '9999').localeCompare(b.due ?? '9999'));

function Column({ stage, jobs, ...actions }: Props & { readonly stage: Stage }) {
  const [all, setAll] = useState(false);
  const { setNodeRef, isOver } = useDroppable({ id: stage });
  const shown = all ? jobs : jobs.slice(0, SHOWN);
  // A row above the columns: what is at hand, and not on its way.
  const isAcross = stage === 'template';
  return (
    <Box
      component="section"
      ref={setNodeRef}
      aria-label={STAGE_WORDS[stage]}
      sx={{
        ...(isAcross && { order: -1, gridColumn: '1 / -1' }),
        ...(isOver && { outline: `2px dashed ${COLOURS.ink}`, outlineOffset: 6 }),
      }}
    >
      <Box sx={HEAD}>
        <Box component="h2" sx={{ m: 0, fontSize: 15, fontWeight: 700 }}>
          {STAGE_WORDS[stage]}
        </Box>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 13, color: 'text.secondary' }}>{jobs.length}</Box>
      </Box>
      <Box sx={{ display: 'grid', gap: isAcross ? 2.5 : 1.5, ...(isAcross && { gridTemplateColumns: COLUMNS }) }}>
        {jobs.length === 0 && <Box sx={{ fontSize: 13.5, color: 'text.secondary' }}>None</Box>}
        {shown.map((job) => (
          <Drawable key={job.id} job={job} {...actions} />
        ))}
        {shown.length < jobs.length && (
          <Button onClick={() => setAll(true)}>Show {jobs.length - shown.length} more</Button>
        )}
      </Box>
    </Box>
  );
}

const HEAD = {
  display: 'flex',
  alignItems: 'baseline',
  gap: 1,
  borderBottom: `2px solid ${COLOURS.ink}`,
  pb: 0.5,
  mb: 1.5,
};

/** A card that can be drawn to another stage. */
function Drawable({ job, ...actions }: JobActions & { readonly job: JobSummary }) {
  const { setNodeRef, listeners, isDragging } = useDraggable({ id: job.id });
  return (
    <Box
      ref={setNodeRef}
      {...listeners}
      sx={{
        opacity: isDragging ? 0.35 : 1,
        // What is off the screen is not laid out before it comes in.
        contentVisibility: 'auto',
        containIntrinsicSize: 'auto 134px',
      }}
    >
      <JobCard job={job} {...actions} />
    </Box>
  );
}
