'use client';
import {
  MOST_COLUMNS,
  MOST_ROWS,
  TABLE_BOUNDS,
  emptyRow,
  emptyColumn,
  withTableWords,
  type CellBlock,
  type ElementOf,
  type TableColumn,
} from '@/core/job';
import { ChoiceField } from '../../field/ChoiceField';
import { FileButton } from '../../field/FileButton';
import { NumberField } from '../../field/NumberField';
import { SizesField } from '../../field/SizesField';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { useSay } from '../../shell/Messages';
import { readData } from '../../shell/read-data';
import { Opener } from '../Opener';
import { Group } from '../Slip';
import { useChange } from '../use-change';
import { CellFields } from './CellFields';
import { LineFields } from './LineFields';
import { TableType } from './TableType';
import { TintFields } from './TintFields';

type Table = ElementOf<'table'>;

/** All cells of a table. */
export const wholeTable = (table: Table): CellBlock => ({
  from: { row: 0, column: 0 },
  to: { row: table.rows.length - 1, column: table.columns.length - 1 },
});

/** A table as a whole, and the cells that are chosen in it. */
export function TableFields({ element }: { readonly element: Table }) {
  const { job, rules } = useDesk();
  const cells = useJob((s) => s.cells);
  const change = useChange(element);
  const say = useSay();
  const set = (label: string, make: (table: Table) => Table) =>
    change(label, (el) => (el.kind === 'table' ? make(el) : el));
  const context = { unit: job.unit, ppi: rules.ppi.value };

  const fill = async (file: File) => {
    const read = await readData(file, TABLE_BOUNDS);
    if (!read.ok) return say({ tone: 'problem', text: `${file.name}: ${read.problem}` });
    set(`Words from ${file.name}`, (table) => withTableWords(table, read.rows));
    say({ tone: 'done', text: `${read.rows.length} rows from ${file.name}.` });
  };

  return (
    <>
      {cells ? <CellFields table={element} block={cells} set={set} /> : <TableType table={element} set={set} />}
      <Group title="Table">
        <SizesField
          label="column widths"
          name="column-widths"
          width={150}
          words={{ rest: null, content: 'content' }}
          none="equal"
          most={MOST_COLUMNS}
          {...context}
          value={element.columns.every((c) => c.width === null) ? undefined : element.columns.map((c) => c.width)}
          onChange={(widths) => set('Column widths', (table) => withWidths(table, widths))}
        />
        <SizesField
          label="row heights"
          name="row-heights"
          width={110}
          words={{ content: null }}
          none="by content"
          most={MOST_ROWS}
          {...context}
          value={element.rows.every((r) => r.height === null) ? undefined : element.rows.map((r) => r.height)}
          onChange={(heights) =>
            set('Row heights', (table) => ({
              ...table,
              rows: table.rows.map((r, i) => ({ ...r, height: heights?.[i] ?? null })),
            }))
          }
        />
        <ChoiceField
          label="in a higher box"
          width={132}
          value={element.heights}
          options={[
            { value: 'content', label: 'each a share' },
            { value: 'even', label: 'all rows alike' },
          ]}
          onChange={(heights) => set('Row heights', (table) => ({ ...table, heights }))}
        />
        <Opener label="Rows" width={420}>
          <Group title="Rows and columns">
            <NumberField
              label="rows"
              name="table-rows"
              value={element.rows.length}
              least={1}
              most={MOST_ROWS}
              whole
              width={64}
              onChange={(rows) => set('Rows', (table) => resized(table, rows, table.columns.length))}
            />
            <NumberField
              label="columns"
              name="table-columns"
              value={element.columns.length}
              least={1}
              most={MOST_COLUMNS}
              whole
              width={64}
              onChange={(columns) => set('Columns', (table) => resized(table, table.rows.length, columns))}
            />
            <NumberField
              label="of these header"
              name="header-rows"
              value={element.header.rows}
              least={0}
              most={Math.min(50, element.rows.length)}
              whole
              width={110}
              onChange={(rows) => set('Header', (table) => ({ ...table, header: { ...table.header, rows } }))}
            />
          </Group>
        </Opener>
        <Opener label="Lines" width={520}>
          <LineFields table={element} block={cells} set={set} />
        </Opener>
        <Opener label="Tint" count={element.tint ? 1 : 0} width={420}>
          <TintFields table={element} set={set} />
        </Opener>
        <FileButton
          asks="Words for the table, as CSV"
          accept=".csv,.tsv,.txt,text/csv"
          onFile={(file) => void fill(file)}
        >
          From CSV
        </FileButton>
      </Group>
    </>
  );
}

/** As many columns as sizes are given: one more or fewer is said by writing one more or fewer. */
function withWidths(table: Table, widths: readonly TableColumn['width'][] | undefined): Table {
  const to =
    widths && widths.length !== table.columns.length ? resized(table, table.rows.length, widths.length) : table;
  return { ...to, columns: to.columns.map((c, i) => ({ ...c, width: widths?.[i] ?? null })) };
}

/** With so many rows and columns; what is cut off goes with its words. */
function resized(table: Table, rows: number, columns: number): Table {
  const across = Array.from({ length: columns }, (_, c) => table.columns[c] ?? emptyColumn());
  const blank = emptyRow(columns);
  const down = Array.from({ length: rows }, (_, r) => {
    const row = table.rows[r] ?? blank;
    return {
      ...row,
      content: Array.from({ length: columns }, (_, c) => row.content[c] ?? { ...(blank.content[0] ?? row.content[0]) }),
    };
  });
  return {
    ...table,
    columns: across,
    rows: down,
    header: { ...table.header, rows: Math.min(table.header.rows, rows) },
  } as Table;
}
