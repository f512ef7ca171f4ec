import { createComposer, composeContextOf, solvePrintable } from '../src/core/compose';
import { blankOf, rulesFor } from '../src/core/job';
import { positive } from '../src/core/layout';
import { galleryEntry } from '../src/core/printable';
import { exportJob, openDesk } from '../src/output';
import { inMemory } from '../src/testing/jobs';
import { mean, ms, note, once, times } from './report';
import { startPrintable } from '../src/core/edit';

/**
 * A dated planner of 366 days: worked out and drawn, and written into a press file; the floor is copying its job’s
 * pages.
 */
export async function planner(): Promise<void> {
  const entry = galleryEntry('day');
  const started =
    entry &&
    startPrintable(entry, { from: '2028-01-01', moon: 'daily' }, { id: 'planner', name: 'Planner', unit: 'mm' });
  const piece = started?.ok ? started.job.pieces[0] : undefined;
  if (!started?.ok || !piece) throw new Error('no planner');
  const { job } = started;
  const desk = await openDesk(job, inMemory());
  const blank = blankOf(job, piece);
  const ground = composeContextOf(job, rulesFor(job, piece).ppi.value, desk.resources);
  const [element] = piece.bases[0]?.elements ?? [];
  const rect = desk.sides.find((s) => s.drawing.frames.length > 0)?.drawing.frames[0]?.rect;
  if (element?.kind !== 'printable' || !rect) throw new Error('no day');
  const days = Array.from({ length: 366 }, (_, index) => ({ index, isLeft: index % 2 === 1 }));
  const marks = () => days.map((turn) => solvePrintable(element, positive(rect), { ...ground, turn }));
  const [alone, copied] = [await mean(marks), await mean(() => structuredClone(marks()))];
  note(
    'a dated planner of 366 days, solved (wanted: under 200 ms; floor: solving it and copying its marks)',
    ms(alone),
    ms(copied),
    times(alone, copied),
  );
  const solved = await mean(() => createComposer(ground).piece(piece, blank.surfaces));
  const drawings = desk.sides.map((s) => s.drawing.frames.map((f) => f.items));
  const floor = await mean(() => structuredClone(drawings));
  note('… solved, placed and drawn (floor: copying what it drew)', ms(solved), ms(floor), times(solved, floor));
  const written = await once(() =>
    exportJob({ job, assets: inMemory(), kind: 'press', at: new Date('2026-05-01T09:00:00Z') }),
  );
  note(
    '… its press file, from the job on (wanted: under 5 s; floor: drawing it)',
    ms(written),
    ms(solved),
    times(written, solved),
  );
}
