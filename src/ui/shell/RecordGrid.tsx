'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import {
  createSortedRowModel,
  rowSelectionFeature,
  rowSortingFeature,
  tableFeatures,
  useTable,
  type ColumnDef,
  type RowData,
  type RowSelectionState,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, type ReactNode } from 'react';
import { COLOURS, FACES } from './theme';

/** A column: what it is sorted by, and what is shown of it. */
export interface GridColumn<R> {
  readonly id: string;
  /** Empty over what there is to press. */
  readonly head: string;
  /** What the rows are sorted by; null comes last, whichever way. */
  readonly value: (record: R) => string | number | null;
  /** Without it the value is shown. */
  readonly show?: (record: R) => ReactNode;
  readonly isFigure?: boolean;
  /** CSS; without it the column takes what it needs. */
  readonly width?: string;
}

interface Props<R> {
  readonly label: string;
  readonly records: readonly R[];
  readonly keyOf: (record: R) => string;
  /** What a record is called where it is chosen. */
  readonly nameOf: (record: R) => string;
  readonly columns: readonly GridColumn<R>[];
  /** The column that it is sorted by at first. */
  readonly sortedBy?: string;
  /** Keys of what is chosen; without it nothing can be. */
  readonly chosen?: ReadonlySet<string>;
  readonly onChoose?: (keys: ReadonlySet<string>) => void;
  /** How high it may be, CSS; more rows are scrolled. */
  readonly height?: string;
}

const features = tableFeatures({
  rowSortingFeature,
  rowSelectionFeature,
  sortedRowModel: createSortedRowModel(),
});

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

function compare(a: unknown, b: unknown): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  return collator.compare(String(a), String(b));
}

/** So many rows are drawn whether they are seen or not. */
const SHORT = 100;
/** Before it is measured, px. */
const ROW = 40;
/** Rows beyond the edge that are there already. */
const BEYOND = 12;

/** Records in rows, sorted by any column; of many only those that are seen are drawn. */
export function RecordGrid<R extends RowData>(props: Props<R>) {
  const { label, records, keyOf, nameOf, columns, sortedBy, chosen, onChoose, height } = props;
  const data = useMemo(() => [...records], [records]);
  const defs = useMemo(
    () =>
      columns.map((column): ColumnDef<typeof features, R> => ({
        id: column.id,
        accessorFn: (record: R) => column.value(record) ?? undefined,
        sortUndefined: 'last',
        sortDescFirst: false,
        sortFn: (a, b, id) => compare(a.getValue(id), b.getValue(id)),
      })),
    [columns],
  );
  const rowSelection: RowSelectionState = Object.fromEntries([...(chosen ?? [])].map((key) => [key, true]));
  const table = useTable({
    features,
    columns: defs,
    data,
    getRowId: keyOf,
    enableSortingRemoval: false,
    initialState: { sorting: sortedBy === undefined ? [] : [{ id: sortedBy, desc: false }] },
    state: { rowSelection },
    onRowSelectionChange: (change) => {
      const after = typeof change === 'function' ? change(rowSelection) : change;
      onChoose?.(new Set(Object.keys(after)));
    },
  });
  const { rows } = table.getRowModel();
  const isLong = rows.length > SHORT;
  const scroller = useRef<HTMLDivElement>(null);
  // What the package gives changes without being another: this component is not memoized, and that is as it should be.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: isLong ? rows.length : 0,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: BEYOND,
    getItemKey: (i) => rows[i]?.id ?? i,
    initialRect: { width: 1000, height: 800 },
  });
  const seen = virtual.getVirtualItems();
  const shown = isLong ? seen.map(({ index }) => index) : rows.map((_, index) => index);
  const above = seen[0]?.start ?? 0;
  const below = virtual.getTotalSize() - (seen.at(-1)?.end ?? 0);
  const across = columns.length + (chosen ? 1 : 0);
  return (
    <Box ref={scroller} data-on="paper" sx={{ ...FRAME, ...(height !== undefined && { maxHeight: height }) }}>
      <Box component="table" aria-label={label} aria-rowcount={rows.length + 1} sx={TABLE}>
        <thead>
          <tr>
            {chosen && (
              <th scope="col" style={{ width: 44 }}>
                <Checkbox
                  size="small"
                  checked={rows.length > 0 && table.getIsAllRowsSelected()}
                  indeterminate={table.getIsSomeRowsSelected() && !table.getIsAllRowsSelected()}
                  onChange={table.getToggleAllRowsSelectedHandler()}
                  slotProps={{ input: { 'aria-label': 'Choose all' } }}
                />
              </th>
            )}
            {table.getFlatHeaders().map((header, i) => (
              <Head
                key={header.id}
                column={columns[i]}
                sorted={header.column.getIsSorted()}
                onSort={() => header.column.toggleSorting()}
              />
            ))}
          </tr>
        </thead>
        <tbody>
          <Spacer across={across} height={above} />
          {shown.map((index) => {
            const row = rows[index];
            if (!row) return null;
            return (
              <Box
                component="tr"
                key={row.id}
                ref={isLong ? virtual.measureElement : undefined}
                data-index={index}
                aria-rowindex={index + 2}
                sx={{ '&:hover': { bgcolor: COLOURS.sheetPale } }}
              >
                {chosen && (
                  <td>
                    <Checkbox
                      size="small"
                      checked={row.getIsSelected()}
                      onChange={row.getToggleSelectedHandler()}
                      slotProps={{ input: { 'aria-label': `Choose ${nameOf(row.original)}` } }}
                    />
                  </td>
                )}
                {columns.map((column) => (
                  <Cell key={column.id} column={column} record={row.original} />
                ))}
              </Box>
            );
          })}
          <Spacer across={across} height={below} />
        </tbody>
      </Box>
    </Box>
  );
}

function Cell<R>({ column, record }: { readonly column: GridColumn<R>; readonly record: R }) {
  const { value, show, isFigure } = column;
  return (
    <Box component="td" sx={isFigure ? { fontFamily: FACES.figure, fontSize: 13, whiteSpace: 'nowrap' } : undefined}>
      {show ? show(record) : value(record)}
    </Box>
  );
}

interface HeadProps {
  readonly column: { readonly head: string; readonly width?: string } | undefined;
  readonly sorted: false | 'asc' | 'desc';
  readonly onSort: () => void;
}

function Head({ column, sorted, onSort }: HeadProps) {
  // A column of buttons has nothing to be sorted by.
  if (!column?.head) return <td style={{ width: column?.width }} />;
  const order = sorted === false ? 'none' : sorted === 'asc' ? 'ascending' : 'descending';
  return (
    <th scope="col" aria-sort={order} style={{ width: column.width }}>
      <Box component="button" type="button" onClick={onSort} sx={HEAD}>
        {column.head}
        <span aria-hidden>{sorted === false ? '' : sorted === 'asc' ? ' ▴' : ' ▾'}</span>
      </Box>
    </th>
  );
}

/** Room for rows that are not drawn. */
function Spacer({ across, height }: { readonly across: number; readonly height: number }) {
  if (height <= 0) return null;
  return (
    <tr aria-hidden>
      <td colSpan={across} style={{ height, padding: 0, border: 0 }} />
    </tr>
  );
}

const FRAME = { overflow: 'auto', bgcolor: COLOURS.paper, border: `1px solid ${COLOURS.line}`, borderRadius: 1 };

const HEAD = {
  all: 'unset',
  cursor: 'pointer',
  fontSize: 12,
  fontWeight: 700,
  color: 'text.secondary',
  whiteSpace: 'nowrap',
  '&:focus-visible': { outline: `2px solid ${COLOURS.accent}` },
};

const TABLE = {
  borderCollapse: 'separate',
  borderSpacing: 0,
  width: '100%',
  fontSize: 14,
  '& thead :is(th, td)': {
    position: 'sticky',
    top: 0,
    zIndex: 1,
    textAlign: 'left',
    bgcolor: COLOURS.paper,
    px: 1.5,
    py: 0.75,
    borderBottom: `2px solid ${COLOURS.ink}`,
  },
  '& tbody td': { px: 1.5, py: 0.75, borderBottom: `1px solid ${COLOURS.line}` },
};
