'use client';
import { useRef } from 'react';
import { blockOf, cellId, cellOver, type CellPlace, type ElementOf } from '@/core/job';
import { centreOf, type NamedTracks, type Span } from '@/core/layout';
import { useJob } from '../open-job/context';
import { useTable } from '../open-job/use-cells';
import { useDesk } from '../open-job/use-desk';
import { COLOURS } from '../shell/theme';
import { cellAt } from '../slip/cell-at';
import type { Projection } from '../view/bench-view';

/** Rows and columns of the table that is selected, and the cells that are chosen in it. */
export function TableCells({ at }: { readonly at: Projection }) {
  const table = useTable();
  const { drawing } = useDesk();
  const tracks = table && drawing.boxes.grids[table.id];
  return table && tracks ? <Cells table={table} tracks={tracks} at={at} /> : null;
}

interface Props {
  readonly table: ElementOf<'table'>;
  readonly tracks: NamedTracks;
  readonly at: Projection;
}

function Cells({ table, tracks, at }: Props) {
  const cells = useJob((s) => s.cells);
  const typing = useJob((s) => s.typing);
  const chooseCells = useJob((s) => s.chooseCells);
  const type = useJob((s) => s.type);
  const dragging = useRef(false);
  const { columns, rows } = tracks;
  const [firstColumn, lastColumn, firstRow, lastRow] = [columns[0], columns.at(-1), rows[0], rows.at(-1)];
  if (!firstColumn || !lastColumn || !firstRow || !lastRow) return null;
  const [left, right] = [firstColumn.start, lastColumn.start + lastColumn.size];
  const [top, bottom] = [firstRow.start, lastRow.start + lastRow.size];
  const centre = centreOf(tracks.area);
  const turn = table.placement.rotate;

  const pointed = (event: React.PointerEvent<SVGElement> | React.MouseEvent<SVGElement>): CellPlace => {
    const svg = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
    return cellAt(table, tracks, at.toMm({ x: event.clientX - (svg?.left ?? 0), y: event.clientY - (svg?.top ?? 0) }));
  };
  const block = cells && blockOf(cells);
  const span = (spans: readonly Span[], [a, b]: readonly [number, number]) => {
    const [first, last] = [spans[Math.min(a, spans.length - 1)], spans[Math.min(b, spans.length - 1)]];
    return { from: first?.start ?? 0, to: last ? last.start + last.size : 0 };
  };
  const reach = block && reachOf(table, block);
  const across = reach && span(columns, reach.columns);
  const down = reach && span(rows, reach.rows);
  return (
    <g transform={`rotate(${turn} ${at.x(centre.x)} ${at.y(centre.y)})`}>
      <g stroke={COLOURS.accent} strokeWidth="1" strokeOpacity="0.45" strokeDasharray="2 3" pointerEvents="none">
        {columns.slice(1).map((c, i) => (
          <line key={i} x1={at.x(c.start)} x2={at.x(c.start)} y1={at.y(top)} y2={at.y(bottom)} />
        ))}
        {rows.slice(1).map((r, i) => (
          <line key={i} x1={at.x(left)} x2={at.x(right)} y1={at.y(r.start)} y2={at.y(r.start)} />
        ))}
      </g>
      {cells && !typing && (
        <rect
          data-cells
          x={at.x(left)}
          y={at.y(top)}
          width={(right - left) * at.scale}
          height={(bottom - top) * at.scale}
          fill="transparent"
          style={{ cursor: 'cell' }}
          onPointerDown={(event) => {
            event.stopPropagation();
            const place = pointed(event);
            dragging.current = true;
            event.currentTarget.setPointerCapture(event.pointerId);
            chooseCells({ from: event.shiftKey ? cells.from : place, to: place });
          }}
          onPointerMove={(event) => {
            if (dragging.current) chooseCells({ from: cells.from, to: pointed(event) });
          }}
          onPointerUp={() => {
            dragging.current = false;
          }}
          onDoubleClick={(event) => {
            event.stopPropagation();
            type(cellId(table.id, pointed(event)));
          }}
        />
      )}
      {across && down && (
        <rect
          x={at.x(across.from)}
          y={at.y(down.from)}
          width={(across.to - across.from) * at.scale}
          height={(down.to - down.from) * at.scale}
          fill={COLOURS.accent}
          fillOpacity={typing ? 0 : 0.12}
          stroke={COLOURS.accent}
          strokeWidth="2"
          pointerEvents="none"
        />
      )}
    </g>
  );
}

/** A block with all that its single cell spans. */
function reachOf(table: ElementOf<'table'>, { rows, columns }: ReturnType<typeof blockOf>) {
  const isOne = rows[0] === rows[1] && columns[0] === columns[1];
  const over = isOne ? cellOver(table, { row: rows[0], column: columns[0] }) : undefined;
  if (!over) return { rows, columns };
  return {
    rows: [over.row, over.row + over.down - 1] as const,
    columns: [over.column, over.column + over.across - 1] as const,
  };
}
