import { Element, elementsOn, withSide, type Job, type NamedGrid, withPiece } from '../job';
import { freshId } from './new-element';
import type { DrawnJob } from './drawn-job';

/** An empty picture frame in every cell of a grid, in reading order. */
export function framesInCells(desk: DrawnJob, grid: NamedGrid): { readonly job: Job; readonly ids: readonly string[] } {
  const { job, piece, surface, drawing } = desk;
  const tracks = drawing.boxes.grids[grid.id];
  if (!tracks) return { job, ids: [] };
  const full = { start: 0, end: 0 };
  const frames = tracks.rows.flatMap((_, row) =>
    tracks.columns.map((__, column) =>
      Element.parse({
        kind: 'picture',
        id: freshId(),
        name: `${grid.name} ${row * tracks.columns.length + column + 1}`,
        picture: null,
        placement: {
          against: { box: 'cells', columns: [column + 1, column + 1], rows: [row + 1, row + 1], grid: grid.id },
          x: full,
          y: full,
        },
      }),
    ),
  );
  const next = withSide(piece, surface.name, [...elementsOn(piece, surface.name), ...frames]);
  return { job: withPiece(job, next), ids: frames.map((f) => f.id) };
}
