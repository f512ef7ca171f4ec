'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Guide, NamedGrid, type Extent } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { WordsField } from '../field/WordsField';
import { freshId } from '../job/add-element';
import { useJob, useJobStore } from '../job/context';
import { framesInCells } from '../job/frames-in-cells';
import { useDesk } from '../job/use-desk';
import { BoxField } from '../slip/BoxField';
import { TrackSizesField } from '../field/TrackSizesField';
import { Fold } from './Fold';

/** Grids laid into boxes: a panel, a column, a picture; each divides its box into equal parts or by given widths. */
export function GridList() {
  const desk = useDesk();
  const { piece, job, rules } = desk;
  const store = useJobStore();
  const side = useJob((s) => s.side);
  const selection = useJob((s) => s.selection);
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const shown = piece.grids.filter((g) => g.side === undefined || g.side === side);
  const set = (label: string, grids: readonly NamedGrid[]) =>
    store.getState().edit(label, (draft) => {
      const first = draft.pieces[0];
      if (first) first.grids = structuredClone([...grids]);
    });
  const put = (to: NamedGrid) => set('Grid', piece.grids.map((g) => (g.id === to.id ? to : g)));
  const add = () => {
    const [one] = selection;
    const box = one ? ({ box: 'element', element: one, part: 'whole' } as const) : ({ box: 'safe' } as const);
    set('Divide a box', [...piece.grids, NamedGrid.parse({ id: freshId(), name: `grid ${piece.grids.length + 1}`, side, in: box, columns: 3, rows: 1 })]);
  };
  return (
    <Fold title="Grids" count={shown.length}>
      {shown.map((grid) => (
        <Box key={grid.id} role="group" aria-label={grid.name} sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'flex-end', pb: 0.75 }}>
          <WordsField label="grid" value={grid.name} most={60} width={96} refuse={(name) => (name === '' ? 'A grid needs a name.' : undefined)} onChange={(name) => put({ ...grid, name })} />
          <BoxField label="in" value={grid.in} width={150} onChange={(box) => put({ ...grid, in: box })} />
          <NumberField label="columns" name={`${grid.name}-columns`} value={grid.columns} least={1} most={100} whole width={58} onChange={(columns) => put({ ...grid, columns, columnWidths: undefined })} />
          <HeldLengthField {...context} label="gutter" value={grid.gutter} width={70} onChange={(gutter) => put({ ...grid, gutter })} />
          <NumberField label="rows" name={`${grid.name}-rows`} value={grid.rows} least={1} most={100} whole width={58} onChange={(rows) => put({ ...grid, rows, rowHeights: undefined })} />
          <HeldLengthField {...context} label="row gutter" value={grid.rowGutter} width={76} onChange={(rowGutter) => put({ ...grid, rowGutter })} />
          <TrackSizesField {...context} label="widths" value={grid.columnWidths} onChange={(columnWidths) => put({ ...grid, columnWidths, ...(columnWidths && { columns: columnWidths.length }) })} />
          <TrackSizesField {...context} label="heights" value={grid.rowHeights} onChange={(rowHeights) => put({ ...grid, rowHeights, ...(rowHeights && { rows: rowHeights.length }) })} />
          <HeldLengthField {...context} label="margin" value={marginOf(grid)} width={70} onChange={(m) => put({ ...grid, margins: m === 0 ? undefined : { top: m, right: m, bottom: m, left: m } })} />
          <Button
            size="small"
            onClick={() => {
              const { job: next, ids } = framesInCells(desk, grid);
              store.getState().replace('Frames in every cell', next);
              store.getState().select(ids);
            }}
          >
            Frame in each cell
          </Button>
          <Button size="small" onClick={() => set('Remove grid', piece.grids.filter((g) => g.id !== grid.id))}>Remove</Button>
        </Box>
      ))}
      <Button size="small" sx={{ justifySelf: 'start' }} onClick={add}>
        {selection.length > 0 ? 'Divide the selected box' : 'Divide a box'}
      </Button>
    </Fold>
  );
} // prettier-ignore

const marginOf = (grid: NamedGrid): Extent => grid.margins?.top ?? 0;

const HOW = [
  { value: 'from-start', label: 'inside the left or top' },
  { value: 'from-end', label: 'inside the right or bottom' },
  { value: 'centre', label: 'at the centre' },
  { value: 'parts', label: 'at every part' },
] as const;

/** Guides by value and against boxes. */
export function GuideList() {
  const { piece, job, rules } = useDesk();
  const store = useJobStore();
  const side = useJob((s) => s.side);
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const shown = piece.guides.filter((g) => g.side === undefined || g.side === side);
  const set = (label: string, guides: readonly Guide[]) =>
    store.getState().edit(label, (draft) => {
      const first = draft.pieces[0];
      if (first) first.guides = structuredClone([...guides]);
    });
  const put = (to: Guide) => set('Guide', piece.guides.map((g) => (g.id === to.id ? to : g)));
  const how = (guide: Guide, to: (typeof HOW)[number]['value']): Guide => {
    switch (to) {
      case 'from-start':
      case 'from-end':
        return { ...guide, at: { how: to, distance: 'distance' in guide.at ? guide.at.distance : 10 } };
      case 'centre':
        return { ...guide, at: { how: to } };
      case 'parts':
        return { ...guide, at: { how: to, parts: 4 } };
    }
  };
  return (
    <Fold title="Guides" count={shown.length}>
      {shown.map((guide) => {
        const { at } = guide;
        return (
          <Box key={guide.id} role="group" aria-label="Guide" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, alignItems: 'flex-end', pb: 0.5 }}>
            <ChoiceField label="line" width={78} value={guide.axis} options={[{ value: 'x', label: 'upright' }, { value: 'y', label: 'level' }]} onChange={(axis) => put({ ...guide, axis })} />
            <ChoiceField label="stands" width={124} value={at.how} options={HOW} onChange={(to) => put(how(guide, to))} />
            <BoxField label="of" value={guide.in} width={112} onChange={(box) => put({ ...guide, in: box })} />
            {(at.how === 'from-start' || at.how === 'from-end') && (
              <HeldLengthField {...context} label="distance" value={at.distance} width={76} onChange={(distance) => put({ ...guide, at: { ...at, distance } })} />
            )}
            {at.how === 'parts' && <NumberField label="parts" value={at.parts} least={2} most={100} whole width={54} onChange={(parts) => put({ ...guide, at: { ...at, parts } })} />}
            <Button size="small" onClick={() => set('Remove guide', piece.guides.filter((g) => g.id !== guide.id))}>Remove</Button>
          </Box>
        );
      })}
      <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => set('Add a guide', [...piece.guides, Guide.parse({ id: freshId(), side, axis: 'x', in: { box: 'trim' }, at: { how: 'from-start', distance: 10 } })])}>
        Add a guide
      </Button>
    </Fold>
  );
} // prettier-ignore
