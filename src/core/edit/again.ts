import { elementsOn, type Element, type Job, type SideName } from '../job';
import { CannotChange } from './changes/change';
import { readElement } from './changes/look';
import { pieceOf, withElements } from './on-side';

/** A fact of a thing that the last step changed. */
interface Fact {
  readonly path: readonly string[];
  readonly to: unknown;
  /** How far it went on an axis: others go as far from where they are. */
  readonly by?: number;
}

/** What the last step changed of a thing, to be done to others. */
export type Again = readonly Fact[];

/** What is its own of each thing, and never another’s. */
const OWN = ['id', 'kind', 'name', 'paragraphs', 'after', 'slot'];

/** How deep facts lie: `placement`, its axis, and what holds it there. */
const DEPTH = 3;

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What a step changed of a thing on a side: the lowest of those that it changed.
 * @returns undefined where it changed nothing that others could take
 */
export function againFrom(before: Job, after: Job, side: SideName): Again | undefined {
  const was = new Map(elementsOn(pieceOf(before), side).map((e) => [e.id, e]));
  for (const element of elementsOn(pieceOf(after), side)) {
    const old = was.get(element.id);
    if (!old || old === element) continue;
    const facts = differences(old, element, []).filter(({ path: [first] }) => !OWN.includes(first ?? ''));
    const ways = AXES.flatMap((axis) => wayOf(old, element, axis));
    const moved = new Set(ways.map(({ path: [, axis] }) => axis));
    const rest = facts.filter(({ path: [first, axis] }) => !(first === 'placement' && moved.has(axis)));
    if (rest.length + ways.length > 0) return [...rest, ...ways];
  }
  return undefined;
}

const AXES = ['x', 'y'] as const;

/** How far a thing went on an axis, its size as it was: others go as far, whatever holds them. */
function wayOf(before: Element, after: Element, axis: 'x' | 'y'): readonly Fact[] {
  const [was, is] = [before.placement[axis], after.placement[axis]];
  const step = (key: 'start' | 'centre' | 'end') => {
    const [from, to] = [was[key], is[key]];
    return typeof from === 'number' && typeof to === 'number' ? to - from : undefined;
  };
  if (JSON.stringify([was.size, was.of]) !== JSON.stringify([is.size, is.of])) return [];
  const [start, centre, end] = [step('start'), step('centre'), step('end')];
  // Held at both edges it has moved only where one gave as much as the other took.
  if (start !== undefined && end !== undefined && Math.abs(start + end) > 1e-9) return [];
  const by = start ?? centre ?? (end === undefined ? undefined : -end);
  return by === undefined || by === 0 ? [] : [{ path: ['placement', axis], to: undefined, by }];
}

function differences(
  before: Readonly<Record<string, unknown>>,
  after: Readonly<Record<string, unknown>>,
  within: readonly string[],
): readonly Fact[] {
  const keys = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...keys].flatMap((key): readonly Fact[] => {
    const [was, is] = [before[key], after[key]];
    const path = [...within, key];
    if (JSON.stringify(was) === JSON.stringify(is)) return [];
    if (isRecord(was) && isRecord(is) && path.length < DEPTH) return differences(was, is, path);
    return [{ path, to: is }];
  });
}

/** The job with the last act done to others as well; those that have no such thing stay as they are. */
export const withAgain = (job: Job, side: SideName, ids: readonly string[], again: Again): Job =>
  withElements(job, side, (element) => (ids.includes(element.id) ? repeatedOn(element, again) : element));

function repeatedOn(element: Element, again: Again): Element {
  try {
    return readElement(again.reduce<unknown>((now, fact) => withFact(now, fact, fact.path), element));
  } catch (error) {
    if (error instanceof CannotChange) return element;
    throw error;
  }
}

function withFact(value: unknown, fact: Fact, [key = '', ...rest]: readonly string[]): unknown {
  const record = isRecord(value) ? value : {};
  const now = record[key];
  if (rest.length > 0) return { ...record, [key]: withFact(now, fact, rest) };
  if (fact.by !== undefined && isRecord(now)) return { ...record, [key]: movedBy(now, fact.by) };
  const others = Object.fromEntries(Object.entries(record).filter(([name]) => name !== key));
  return fact.to === undefined ? others : { ...others, [key]: fact.to };
}

/** An axis with all that holds it so much further on. */
function movedBy(axis: Readonly<Record<string, unknown>>, by: number): unknown {
  const moved = Object.entries({ start: by, centre: by, end: -by }).flatMap(([key, step]) => {
    const now = axis[key];
    return typeof now === 'number' ? [[key, now + step]] : [];
  });
  return { ...axis, ...Object.fromEntries(moved) };
}
