'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { BLACK, withLines, type CellBlock, type ElementOf, type LineSide, type Stroke } from '@/core/job';
import { StrokeFields } from '../StrokeFields';
import { Group } from '../Slip';
import type { SetTableOf } from './set-table';

type Table = ElementOf<'table'>;
type Sets = Pick<Table['borders'], 'top' | 'right' | 'bottom' | 'left' | 'rows' | 'columns' | 'header'>;

const FIRST: Stroke = {
  paint: BLACK,
  widthPt: 0.5,
  dash: 'solid',
  whole: true,
  align: 'centre',
  cap: 'butt',
  join: 'miter',
};

/** Sets of lines by name, made of one stroke. */
const SETS: readonly { readonly label: string; readonly of: (stroke: Stroke) => Partial<Sets> }[] = [
  { label: 'no lines', of: () => ({}) },
  { label: 'head and foot', of: (s) => ({ top: s, header: s, bottom: s }) },
  { label: 'between rows', of: (s) => ({ rows: s, header: s }) },
  { label: 'around', of: (s) => ({ top: s, right: s, bottom: s, left: s }) },
  { label: 'all lines', of: (s) => ({ top: s, right: s, bottom: s, left: s, rows: s, columns: s, header: s }) },
];

const NONE: Sets = { top: null, right: null, bottom: null, left: null, rows: null, columns: null, header: null };

const SIDES: readonly { readonly label: string; readonly sides: readonly LineSide[] }[] = [
  { label: 'around', sides: ['top', 'right', 'bottom', 'left'] },
  { label: 'above', sides: ['top'] },
  { label: 'below', sides: ['bottom'] },
  { label: 'left', sides: ['left'] },
  { label: 'right', sides: ['right'] },
  { label: 'between rows', sides: ['rows'] },
  { label: 'between columns', sides: ['columns'] },
];

interface Props {
  readonly table: Table;
  /** The cells that are chosen: then the lines are theirs. */
  readonly block: CellBlock | undefined;
  readonly set: SetTableOf;
}

/** Lines of a table by sets, or single ones of the cells that are chosen. The stroke is decided first. */
export function LineFields({ table, block, set }: Props) {
  const { borders } = table;
  const usual = borders.rows ?? borders.top ?? borders.columns ?? borders.bottom ?? FIRST;
  const [stroke, setStroke] = useState<Stroke | null>(usual);
  const choices = block
    ? SIDES.map(({ label, sides }) => ({ label, make: (t: Table) => withLines(t, block, sides, stroke) }))
    : SETS.map(({ label, of }) => ({
        label,
        make: (t: Table): Table => ({ ...t, borders: { ...(stroke ? { ...NONE, ...of(stroke) } : NONE), lines: [] } }),
      }));
  return (
    <>
      <StrokeFields title="Line" stroke={stroke} none="none" closed={false} onChange={setStroke} />
      <Group title={block ? 'Lay it, on the cells that are chosen' : 'Lay it'}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {choices.map(({ label, make }) => (
            <Button key={label} size="small" variant="outlined" onClick={() => set(`Lines: ${label}`, make)}>
              {label}
            </Button>
          ))}
        </Box>
      </Group>
    </>
  );
}
