'use client';
import Button from '@mui/material/Button';
import {
  USUAL_CELL,
  blockOf,
  cellLook,
  cellText,
  joined,
  mapElements,
  parted,
  styleBook,
  withCellStyle,
  withCells,
  withColumn,
  withRow,
  withoutColumns,
  withoutRows,
  type CellBlock,
  type CellChanges,
  type CellStyle,
  type ElementOf,
} from '@/core/job';
import { ChoiceField } from '../../field/ChoiceField';
import { HeldLengthField } from '../../field/LengthField';
import { SolidPaintField } from '../../field/PaintField';
import { freshId, textsOfBlock } from '@/core/edit';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { Opener } from '../Opener';
import { Group } from '../Slip';
import { TextFields } from '../text/TextFields';
import type { SetTableOf } from './set-table';

interface Props {
  readonly table: ElementOf<'table'>;
  readonly block: CellBlock;
  readonly set: SetTableOf;
}

/** The cells that are chosen: their type, their box, and what can be done with their rows and columns. */
export function CellFields({ table, block, set }: Props) {
  const { job } = useDesk();
  const chooseCells = useJob((s) => s.chooseCells);
  const change = useJob((s) => s.change);
  const { rows, columns } = blockOf(block);
  const [row, column] = [rows[0], columns[0]];
  const cell = table.rows[row]?.content[column];
  if (!cell) return null;
  const book = styleBook(job);
  const place = { row, column };
  const look = cellLook(table, place, book);
  const isOne = rows[0] === rows[1] && columns[0] === columns[1];
  const makeStyle = () => {
    const style: CellStyle = { id: freshId(), name: freeName(job.cellStyles), basedOn: cell.named, cell: cell.cell };
    change('New cell style', (now) => ({
      ...now,
      cellStyles: [...now.cellStyles, style],
      pieces: now.pieces.map((p) =>
        mapElements(p, (e) => (e.id === table.id && e.kind === 'table' ? withCellStyle(e, block, style.id) : e)),
      ),
    }));
  };
  const does = (label: string, make: (t: ElementOf<'table'>) => ElementOf<'table'>, to?: CellBlock) => (
    <Button
      key={label}
      size="small"
      onClick={() => {
        set(label, make);
        if (to) chooseCells(to);
      }}
    >
      {label}
    </Button>
  );
  const only = { from: place, to: place };
  return (
    <>
      <TextFields
        element={cellText(table, place, book)}
        among={textsOfBlock(table, block)}
        title={isOne ? 'Type of the cell' : 'Type of these cells'}
      />
      <Group
        title={
          isOne
            ? `Cell ${column + 1}, row ${row + 1}`
            : `${columns[1] - columns[0] + 1} × ${rows[1] - rows[0] + 1} cells`
        }
      >
        <ChoiceField
          label={Object.keys(cell.cell).length > 0 && cell.named !== null ? 'cell style (differs)' : 'cell style'}
          width={118}
          value={cell.named ?? ''}
          options={[{ value: '', label: 'none' }, ...job.cellStyles.map((s) => ({ value: s.id, label: s.name }))]}
          onChange={(id) => set('Cell style', (t) => withCellStyle(t, block, id === '' ? null : id))}
        />
        <Opener label="Cell" width={600}>
          <BoxOfCell cell={look} onChange={(label, changes) => set(label, (t) => withCells(t, block, changes))} />
          <Button size="small" onClick={makeStyle}>
            Make it a cell style
          </Button>
        </Opener>
        <Opener label="Rows, columns, spans" width={420}>
          <Group title="Put in">
            {does('Row above', (t) => withRow(t, rows[0]))}
            {does('Row below', (t) => withRow(t, rows[1] + 1))}
            {does('Column left', (t) => withColumn(t, columns[0]))}
            {does('Column right', (t) => withColumn(t, columns[1] + 1))}
          </Group>
          <Group title="Take out">
            {does('These rows', (t) => withoutRows(t, rows[0], rows[1]), {
              from: { row: 0, column: 0 },
              to: { row: 0, column: 0 },
            })}
            {does('These columns', (t) => withoutColumns(t, columns[0], columns[1]), {
              from: { row: 0, column: 0 },
              to: { row: 0, column: 0 },
            })}
          </Group>
          <Group title="Spans">
            {does('Make one cell', (t) => (isOne ? t : joined(t, block)), only)}
            {does('Part again', (t) => parted(t, block))}
          </Group>
        </Opener>
      </Group>
    </>
  );
}

function freeName(styles: readonly CellStyle[]): string {
  let n = 1;
  while (styles.some((s) => s.name === `Cell style ${n}`)) n += 1;
  return `Cell style ${n}`;
}

const STANDS = [
  { value: 'top', label: 'top' },
  { value: 'middle', label: 'middle' },
  { value: 'bottom', label: 'bottom' },
] as const;

interface BoxProps {
  readonly cell: CellChanges;
  readonly onChange: (label: string, changes: CellChanges) => void;
}

/** Tint, inset and where the words stand in their cell. */
export function BoxOfCell({ cell, onChange }: BoxProps) {
  const { job, rules } = useDesk();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const inset = cell.inset ?? USUAL_CELL.inset;
  return (
    <Group title="Box">
      <SolidPaintField
        label="fill"
        value={cell.fill ?? null}
        none="none"
        onChange={(fill) => onChange('Fill', { fill })}
      />
      <ChoiceField
        label="words stand"
        width={100}
        value={cell.vertical ?? USUAL_CELL.vertical}
        options={STANDS}
        onChange={(vertical) => onChange('Vertical', { vertical })}
      />
      {(['top', 'right', 'bottom', 'left'] as const).map((edge) => (
        <HeldLengthField
          key={edge}
          label={edge}
          name={`inset-${edge}`}
          value={inset[edge]}
          {...context}
          width={70}
          onChange={(length) => onChange('Inset', { inset: { ...inset, [edge]: length } })}
        />
      ))}
    </Group>
  );
}
