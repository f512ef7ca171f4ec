import { elementsOn } from './read';
import type { Job } from './schema';

const MOST = 40;

/**
 * What differs between two versions of a job, in sentences: fields that changed, elements that came, went or changed.
 * @param before the version compared with
 */
export function describeDifferences(before: Job, after: Job): readonly string[] {
  const lines: string[] = [];
  for (const key of Object.keys(after) as (keyof Job)[]) {
    if (key === 'pieces' || key === 'assets') continue;
    if (!same(before[key], after[key])) lines.push(`${words(key)}: ${show(before[key])} → ${show(after[key])}`);
  }
  for (const piece of after.pieces) {
    const old = before.pieces.find((p) => p.id === piece.id);
    if (!old) {
      lines.push(`${piece.name} was added`);
      continue;
    }
    const decisions = new Set([...Object.keys(old), ...Object.keys(piece)]);
    for (const key of decisions) {
      if (key === 'surfaces' || key === 'id') continue;
      if (!same(old[key], piece[key])) lines.push(`${words(key)}: ${show(old[key])} → ${show(piece[key])}`);
    }
    for (const side of new Set([...Object.keys(old.surfaces), ...Object.keys(piece.surfaces)])) {
      const was = new Map(elementsOn(old, side).map((e) => [e.id, e]));
      const is = new Map(elementsOn(piece, side).map((e) => [e.id, e]));
      for (const [id, element] of is) {
        const name = element.name || element.kind;
        const earlier = was.get(id);
        if (!earlier) lines.push(`${side}: ${name} was added`);
        else if (!same(earlier, element)) lines.push(`${side}: ${name} was changed`);
      }
      for (const [id, element] of was)
        if (!is.has(id)) lines.push(`${side}: ${element.name || element.kind} was taken out`);
    }
  }
  if (lines.length === 0) return ['Nothing differs.'];
  return lines.length > MOST ? [...lines.slice(0, MOST), `and ${lines.length - MOST} more`] : lines;
}

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

const words = (key: string): string => key.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`).replace(/-/g, ' ');

function show(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'none';
  if (typeof value !== 'object') return JSON.stringify(value).slice(0, 60);
  return Object.entries(value)
    .map(([k, v]) => `${words(k)} ${show(v)}`)
    .join(', ')
    .slice(0, 90);
}
