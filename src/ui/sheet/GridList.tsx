'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { NamedGrid } from '@/core/job';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { WordsField } from '../field/WordsField';
import { changePiece, framesInCells, freshId, movedRecord, withJob, removeGrid, putGrid } from '@/core/edit';
import { useJob, useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { BoxField } from '../slip/BoxField';
import { TrackSizesField } from '../field/TrackSizesField';
import { Fold } from '../shell/Fold';
import { SortedRecords } from '../shell/Sortable';
import { BaselineFields } from './BaselineFields';
import { GridMargins } from '../field/GridMargins';

/** Grids laid into boxes: a panel, a column, a picture; each divides its box into equal parts or by given widths. */
export function GridList() {
  const desk = useDesk();
  const { piece, job, rules } = desk;
  const { change, make } = useJobStore().getState();
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const shown = piece.grids.filter((g) => g.side === undefined || g.side === side);
  const move = (id: string, to: string, name: string) =>
    change(`Order ${name}`, (now) => changePiece(now, (p) => ({ ...p, grids: movedRecord(p.grids, id, to) })));
  const put = (grid: NamedGrid) => change('Grid', (now) => putGrid(now, grid));
  const add = () => {
    const [one] = selection;
    const box = one ? ({ box: 'element', element: one, part: 'whole' } as const) : ({ box: 'safe' } as const);
    const name = `grid ${piece.grids.length + 1}`;
    const grid = NamedGrid.parse({ id: freshId(), name, side, in: box, columns: 3, rows: 1 });
    change('Divide a box', (now) => putGrid(now, grid));
  };
  return (
    <Fold title="Grids" count={shown.length}>
      <SortedRecords records={shown} onMove={move}>
        {(grid) => (
          <Box
            role="group"
            aria-label={grid.name}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'flex-end', pb: 0.75 }}
          >
            <WordsField
              label="grid"
              value={grid.name}
              most={60}
              width={96}
              refuse={(name) => (name === '' ? 'A grid needs a name.' : undefined)}
              onChange={(name) => put({ ...grid, name })}
            />
            <BoxField label="in" value={grid.in} width={150} onChange={(box) => put({ ...grid, in: box })} />
            <NumberField
              label="columns"
              name={`${grid.name}-columns`}
              value={grid.columns}
              least={1}
              most={100}
              whole
              width={58}
              onChange={(columns) => put({ ...grid, columns, columnWidths: undefined })}
            />
            <HeldLengthField
              {...context}
              label="gutter"
              value={grid.gutter}
              width={70}
              onChange={(gutter) => put({ ...grid, gutter })}
            />
            <NumberField
              label="rows"
              name={`${grid.name}-rows`}
              value={grid.rows}
              least={1}
              most={100}
              whole
              width={58}
              onChange={(rows) => put({ ...grid, rows, rowHeights: undefined })}
            />
            <HeldLengthField
              {...context}
              label="row gutter"
              value={grid.rowGutter}
              width={76}
              onChange={(rowGutter) => put({ ...grid, rowGutter })}
            />
            <TrackSizesField
              {...context}
              label="widths"
              value={grid.columnWidths}
              onChange={(columnWidths) =>
                put({ ...grid, columnWidths, ...(columnWidths && { columns: columnWidths.length }) })
              }
            />
            <TrackSizesField
              {...context}
              label="heights"
              value={grid.rowHeights}
              onChange={(rowHeights) => put({ ...grid, rowHeights, ...(rowHeights && { rows: rowHeights.length }) })}
            />
            <GridMargins
              {...context}
              name={grid.name}
              margins={grid.margins}
              facing={grid.facing}
              onChange={(to) => put({ ...grid, ...to })}
            />
            <Button
              size="small"
              onClick={() => make('Frames in every cell', (now) => framesInCells(withJob(desk, now), grid))}
            >
              Frame in each cell
            </Button>
            <Button size="small" onClick={() => change('Remove grid', (now) => removeGrid(now, grid.id))}>
              Remove
            </Button>
          </Box>
        )}
      </SortedRecords>
      <BaselineFields />
      <Button size="small" sx={{ justifySelf: 'start' }} onClick={add}>
        {selection.length > 0 ? 'Divide the selected box' : 'Divide a box'}
      </Button>
    </Fold>
  );
}
