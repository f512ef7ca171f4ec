import {
  elementsOf,
  elementsOn,
  withSide,
  type Element,
  type Group,
  type Job,
  type Piece,
  type SideName,
  withPiece,
} from '../job';
import { freshId } from './new-element';
import { pieceOf } from './on-side';
import { putRecord } from './records';

/** The group that all of these elements are in. */
export function groupOf(piece: Piece, elements: readonly Element[]): Group | undefined {
  const [first] = elements;
  if (!first || first.group === null || elements.some((e) => e.group !== first.group)) return undefined;
  return piece.groups.find((g) => g.id === first.group);
}

/** Ids with those of everything in the same groups. */
export function withGroupMates(elements: readonly Element[], ids: readonly string[]): readonly string[] {
  const groups = new Set(elements.flatMap((e) => (ids.includes(e.id) && e.group !== null ? [e.group] : [])));
  if (groups.size === 0) return ids;
  return elements.filter((e) => ids.includes(e.id) || (e.group !== null && groups.has(e.group))).map((e) => e.id);
}

/** The job with a group changed. */
export function withGroup(job: Job, group: Group): Job {
  const piece = pieceOf(job);
  return withPiece(job, { ...piece, groups: putRecord(piece.groups, group) });
}

/** Groups that nothing is in any more are left out. */
function tidied(piece: Piece): Piece {
  const used = new Set(elementsOf(piece).map(({ element }) => element.group));
  return { ...piece, groups: piece.groups.filter((g) => used.has(g.id)) };
}

/** The elements as a group; they come to lie one above the other, where the topmost lay. */
export function groupSelection(job: Job, side: SideName, ids: readonly string[]): Job {
  const piece = pieceOf(job);
  const elements = elementsOn(piece, side);
  const group: Group = { id: freshId(), name: `Group ${piece.groups.length + 1}` };
  const members = elements.filter((e) => ids.includes(e.id)).map((e) => ({ ...e, group: group.id }));
  const last = elements.findLastIndex((e) => ids.includes(e.id));
  const list = elements.flatMap((e, i) => (i === last ? members : ids.includes(e.id) ? [] : [e]));
  return withPiece(job, tidied({ ...withSide(piece, side, list), groups: [...piece.groups, group] }));
}

/** The elements in no group; where a row kept them they stay in the order they had. */
export function ungroupSelection(job: Job, side: SideName, ids: readonly string[]): Job {
  const piece = pieceOf(job);
  const list = elementsOn(piece, side).map((e) => (ids.includes(e.id) ? { ...e, group: null } : e));
  return withPiece(job, tidied(withSide(piece, side, list)));
}
