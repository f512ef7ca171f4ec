import type { BoxRef, ElementPart, NamedGrid } from '../job';
import { boxName, type SurfaceBoxes, type Tracks } from '../layout';

export interface BoxChoice {
  readonly ref: BoxRef;
  readonly name: string;
}

const PARTS: readonly ElementPart[] = ['whole', 'visible', 'before', 'past'];

/** Most boxes of one sort that a list offers. */
const MOST = 60;

/**
 * Every box that something can be held against: the plain ones, panels, tracks of every grid, holes, other elements.
 * @param waiting elements that wait for the one that chooses: holding it against them would be a circle
 */
export function boxChoices(boxes: SurfaceBoxes, waiting: ReadonlySet<string>): readonly BoxChoice[] {
  const refs: BoxRef[] = [
    { box: 'trim' },
    { box: 'safe' },
    { box: 'bleed' },
    ...(boxes.spread.width > boxes.trim.width ? [{ box: 'spread' } as const] : []),
    ...(boxes.panels.length > 1 ? boxes.panels.map((p): BoxRef => ({ box: 'panel', panel: p.name })) : []),
    ...trackRefs(boxes.grid, undefined),
    ...Object.entries(boxes.grids).flatMap(([id, tracks]) => trackRefs(tracks, id)),
    ...boxes.holes.slice(0, MOST).map((_, i): BoxRef => ({ box: 'hole', hole: i + 1 })),
    ...Object.keys(boxes.placed)
      .filter((id) => !waiting.has(id))
      .slice(0, MOST)
      .flatMap((element) => PARTS.map((part): BoxRef => ({ box: 'element', element, part }))),
  ];
  return refs.map((ref) => ({ ref, name: boxName(ref, boxes) }));
}

function trackRefs({ columns, rows }: Tracks, grid: string | undefined): readonly BoxRef[] {
  const of = grid === undefined ? {} : { grid };
  const spans = (n: number) =>
    n > 1
      ? Array.from({ length: n }, (_, size) => size + 1).flatMap((size) =>
          size === n ? [] : Array.from({ length: n - size + 1 }, (_, i) => [i + 1, i + size] as const),
        )
      : [];
  const found: BoxRef[] = [
    ...spans(columns.length).map(([from, to]): BoxRef => ({ box: 'columns', from, to, ...of })),
    ...spans(rows.length).map(([from, to]): BoxRef => ({ box: 'rows', from, to, ...of })),
  ];
  if (columns.length > 1 && rows.length > 1)
    for (let row = 1; row <= rows.length; row += 1)
      for (let column = 1; column <= columns.length; column += 1)
        found.push({ box: 'cells', columns: [column, column], rows: [row, row], ...of });
  return found.slice(0, MOST * 2);
}

/** The elements whose places wait for that of one, directly or through others, and that one itself. */
export function dependants(
  id: string,
  elements: readonly {
    readonly id: string;
    readonly placement: {
      readonly against: BoxRef;
      readonly x: { readonly of?: BoxRef | undefined };
      readonly y: { readonly of?: BoxRef | undefined };
    };
  }[],
  grids: readonly NamedGrid[],
): ReadonlySet<string> {
  const elementOf = (ref: BoxRef | undefined): string | undefined => {
    if (!ref) return undefined;
    if (ref.box === 'element') return ref.element;
    const grid = 'grid' in ref ? grids.find((g) => g.id === ref.grid) : undefined;
    return grid && elementOf(grid.in);
  };
  const found = new Set([id]);
  for (let grown = true; grown;) {
    grown = false;
    for (const { id: other, placement } of elements) {
      if (found.has(other)) continue;
      const on = [placement.against, placement.x.of, placement.y.of].map(elementOf);
      if (on.some((o) => o !== undefined && found.has(o))) {
        found.add(other);
        grown = true;
      }
    }
  }
  return found;
}
