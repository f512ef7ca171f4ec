import { z } from 'zod';
import { BaselineGrid, Guide, Layer, NamedGrid, NamedMeasure, type Job } from '../../job';
import { framesInCells } from '../frames-in-cells';
import { putGrid, putGuide, removeGrid, removeGuide, setBaselineGrid } from '../guides';
import { moveLayer, putLayer, removeLayer } from '../layers';
import { putMeasure, withoutMeasure } from '../measures';
import { pieceOf } from '../on-side';
import { CannotChange, defineChange } from './change';
import { Side, sideOf } from './pick';

const Id = z.string().min(1);

/** A record of a list by its id. @throws CannotChange */
function recordOf<R extends { readonly id: string; readonly name?: string }>(
  what: string,
  list: readonly R[],
  id: string,
): R {
  const found = list.find((r) => r.id === id) ?? list.find((r) => r.name === id);
  if (found) return found;
  const names = list.map((r) => r.id).join(', ');
  throw new CannotChange(`There is no ${what} “${id}”. ${names ? `There are: ${names}.` : 'There is none yet.'}`);
}

export const structureChanges = [
  defineChange({
    do: 'put grid',
    about: 'Divides a box into columns and rows, or changes the grid of that id.',
    fields: { grid: NamedGrid },
    example: { grid: { id: 'thirds', name: 'thirds', in: { box: 'safe' }, columns: 3, rows: 2, gutter: 4 } },
    run: ({ job }, { grid }) => putGrid(job, grid),
  }),
  defineChange({
    do: 'frame each cell',
    about: 'Lays an empty picture frame into every cell of a grid.',
    fields: { grid: Id, side: Side.optional() },
    example: { grid: 'thirds', side: 'back' },
    run: async ({ job, draw }, { grid, side }) =>
      framesInCells(await draw(sideOf(job, side)), recordOf('grid', pieceOf(job).grids, grid)).job,
  }),
  defineChange({
    do: 'remove grid',
    about: 'Takes a grid off.',
    fields: { grid: Id },
    example: { grid: 'thirds' },
    run: ({ job }, { grid }) => removeGrid(job, recordOf('grid', pieceOf(job).grids, grid).id),
  }),
  defineChange({
    do: 'put guide',
    about: 'Puts a guide, or changes the one of that id.',
    fields: { guide: Guide },
    example: { guide: { id: 'fold', axis: 'x', in: { box: 'trim' }, at: { how: 'parts', parts: 3 } } },
    run: ({ job }, { guide }) => putGuide(job, guide),
  }),
  defineChange({
    do: 'remove guide',
    about: 'Takes a guide off.',
    fields: { guide: Id },
    example: { guide: 'fold' },
    run: ({ job }, { guide }) => removeGuide(job, recordOf('guide', pieceOf(job).guides, guide).id),
  }),
  defineChange({
    do: 'baseline grid',
    about: 'Level lines for the baselines of every side; null for none.',
    fields: { grid: BaselineGrid.nullable() },
    example: { grid: { first: 10, stepPt: 12 } },
    run: ({ job }, { grid }) => setBaselineGrid(job, grid),
  }),
  defineChange({
    do: 'put measure',
    about: 'Gives a length a name, or changes the measure of that id and everything that uses it.',
    fields: { measure: NamedMeasure },
    example: { measure: { id: 'edge', name: 'edge distance', value: 6 } },
    run: ({ job }, { measure }) => putMeasure(job, measure),
  }),
  defineChange({
    do: 'remove measure',
    about: 'Takes a measure off; what used it keeps its length.',
    fields: { measure: Id },
    example: { measure: 'edge' },
    run: ({ job }, { measure }) => withoutMeasure(job, recordOf('measure', job.measures, measure).id),
  }),
  defineChange({
    do: 'put layer',
    about: 'Lays a new layer above all others, or changes the one of that id.',
    fields: { layer: Layer },
    example: { layer: { id: 'notes', name: 'Notes', locked: false, hidden: false } },
    run: ({ job }, { layer }) => putLayer(job, layer),
  }),
  defineChange({
    do: 'move layer',
    about: 'Moves a layer up (1) or down (−1) by a place.',
    fields: { layer: Id, by: z.literal([1, -1]) },
    example: { layer: 'notes', by: -1 },
    run: ({ job }, { layer, by }) => moveLayer(job, layerOf(job, layer), by),
  }),
  defineChange({
    do: 'remove layer',
    about: 'Takes a layer off; what lay on it goes to the one below.',
    fields: { layer: Id },
    example: { layer: 'notes' },
    run: ({ job }, { layer }) => removeLayer(job, layerOf(job, layer)),
  }),
];

const layerOf = (job: Job, layer: string): string => recordOf('layer', pieceOf(job).layers, layer).id;
