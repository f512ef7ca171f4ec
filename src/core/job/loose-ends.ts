import { isMeasureRef } from '../element';
import type { Job, Piece } from './schema';

/** Most sentences that are of use at once. */
const MOST = 12;

/** Names that a job uses and does not define: measures, layers, groups. Boxes may be gone: the sheet says where. */
export function looseEnds(job: Job): string[] {
  const found = new Set<string>();
  const measures = new Set(job.measures.map((m) => m.id));
  for (const id of measuresUsed(job.pieces))
    if (!measures.has(id)) found.add(`The measure “${id}” is used but not listed under measures.`);
  for (const piece of job.pieces) for (const problem of looseIn(piece)) found.add(problem);
  return [...found].slice(0, MOST);
}

function looseIn(piece: Piece): string[] {
  const layers = new Set(piece.layers.map((l) => l.id));
  const groups = new Set(piece.groups.map((g) => g.id));
  return Object.values(piece.surfaces).flatMap((elements) =>
    elements.flatMap((element) => [
      ...(layers.has(element.layer) ? [] : [`“${element.name || element.id}” lies on the layer “${element.layer}”, which is not listed.`]),
      ...(element.group === null || groups.has(element.group) ? [] : [`“${element.name || element.id}” is in the group “${element.group}”, which is not listed.`]),
    ]),
  );
} // prettier-ignore

/** Ids of the measures that anything within a value refers to. */
export function measuresUsed(value: unknown): ReadonlySet<string> {
  const used = new Set<string>();
  const walk = (v: unknown): void => {
    if (typeof v !== 'object' || v === null) return;
    if (isMeasureRef(v)) used.add(v.measure);
    else for (const inner of Object.values(v)) walk(inner);
  };
  walk(value);
  return used;
}
