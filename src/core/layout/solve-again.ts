import { boxOfAxis, type BoxRef, type Element } from '../element';
import type { SurfaceBoxes } from './boxes';
import { solveLayout, type ContentReader, type SideLayout } from './solve-layout';

/** Solves the layout of one side, from what it was before. */
export type LayoutSolver = (base: SurfaceBoxes, layout: SideLayout, content: ContentReader) => SurfaceBoxes;

interface Solved {
  readonly base: SurfaceBoxes;
  readonly layout: SideLayout;
  readonly content: ContentReader;
  readonly boxes: SurfaceBoxes;
  readonly order: Order;
}

/** Who follows whom on a side. */
interface Order {
  /** Where each element stands in the list. */
  readonly at: ReadonlyMap<string, number>;
  /** By element, or row: what is placed after it. */
  readonly followers: Followers;
  /** The row that an element stands in: one that grows moves the others. */
  readonly rowOf: ReadonlyMap<string, string>;
  /** Whether things wait for each other: where they stand then depends on which is asked first. */
  readonly isTangled: boolean;
}

type Followers = ReadonlyMap<string, readonly string[]>;

/**
 * Solves a side again and again while it is edited: where a few elements changed, only they and those that follow them
 * are placed anew. What did not move keeps its box, the same object.
 * @returns as `solveLayout` would
 */
export function createLayoutSolver(): LayoutSolver {
  let before: Solved | undefined;
  return (base, layout, content) => {
    const moved = before && movedSince(before, base, layout, content);
    const boxes = solveLayout(base, layout, content, before && { boxes: before.boxes, moved });
    const order = (moved && before?.order) ?? orderOf(layout);
    before = { base, layout, content, boxes, order };
    return boxes;
  };
}

/** The elements that have to be placed anew; undefined where that is all of them. */
function movedSince(
  before: Solved,
  base: SurfaceBoxes,
  layout: SideLayout,
  content: ContentReader,
): readonly Element[] | undefined {
  const { layout: was, order } = before;
  const isSameRoom = before.base === base && before.content === content;
  const isSameOrder = was.grids === layout.grids && was.groups === layout.groups;
  if (!isSameRoom || !isSameOrder || order.isTangled || layout.elements.length !== was.elements.length)
    return undefined;
  // A grid laid into an element moves with it, and so does whatever stands in the grid.
  if (layout.grids.some((grid) => targetsOf(grid.in).length > 0)) return undefined;
  const moved = new Set<string>();
  for (const [i, element] of layout.elements.entries()) {
    const earlier = was.elements[i];
    if (element === earlier) continue;
    if (element.id !== earlier?.id || element.group !== earlier.group || !hasSameTargets(element, earlier))
      return undefined;
    moved.add(element.id);
  }
  // A set grows while it is gone through.
  for (const id of moved) {
    for (const follower of order.followers.get(id) ?? []) moved.add(follower);
    const row = order.rowOf.get(id);
    if (row !== undefined) moved.add(row);
  }
  return [...moved].flatMap((id) => layout.elements[order.at.get(id) ?? -1] ?? []);
}

function orderOf({ elements, groups }: SideLayout): Order {
  const followers = new Map<string, string[]>();
  const follow = (id: string, follower: string) => {
    const mine = followers.get(id);
    if (mine) mine.push(follower);
    else followers.set(id, [follower]);
  };
  const rows = new Map(groups.flatMap(({ id, row }) => (row ? [[id, row] as const] : [])));
  const rowOf = new Map<string, string>();
  for (const [id, row] of rows) for (const target of targetsOf(row.in)) follow(target, rowKey(id));
  for (const element of elements) {
    const targets = targetsOfElement(element);
    for (const target of targets) follow(target, element.id);
    if (element.group === null || !rows.has(element.group)) continue;
    const row = rowKey(element.group);
    rowOf.set(element.id, row);
    follow(row, element.id);
    // A row needs the sizes of all that stand in it.
    for (const target of targets) follow(target, row);
  }
  const at = new Map(elements.map(({ id }, i) => [id, i]));
  return { at, followers, rowOf, isTangled: hasCircle(followers) };
}

/** Whether going from follower to follower leads back, found by taking away what follows nothing that is left. */
function hasCircle(followers: Followers): boolean {
  const waitsFor = new Map<string, number>();
  for (const follower of [...followers.values()].flat()) waitsFor.set(follower, (waitsFor.get(follower) ?? 0) + 1);
  const free = [...followers.keys()].filter((id) => !waitsFor.has(id));
  // A list grows while it is gone through.
  for (const id of free)
    for (const follower of followers.get(id) ?? []) {
      const left = (waitsFor.get(follower) ?? 0) - 1;
      waitsFor.set(follower, left);
      if (left === 0) free.push(follower);
    }
  return [...waitsFor.values()].some((left) => left > 0);
}

/** No element is called so. */
const rowKey = (group: string): string => `row ${group}`;

/** The elements that a box is laid by. */
function targetsOf(ref: BoxRef): readonly string[] {
  switch (ref.box) {
    case 'element':
      return [ref.element];
    case 'columns':
    case 'rows':
    case 'cells':
      // A table’s, or a named grid of the side, which stays.
      return ref.grid === undefined ? [] : [ref.grid];
    case 'trim':
    case 'bleed':
    case 'safe':
    case 'spread':
    case 'panel':
    case 'hole':
      return [];
  }
}

const targetsOfElement = ({ placement }: Element): readonly string[] => [
  ...targetsOf(boxOfAxis(placement, 'x')),
  ...targetsOf(boxOfAxis(placement, 'y')),
];

function hasSameTargets(one: Element, two: Element): boolean {
  if (one.placement === two.placement) return true;
  const [mine, theirs] = [targetsOfElement(one), targetsOfElement(two)];
  return mine.length === theirs.length && mine.every((target, i) => target === theirs[i]);
}
