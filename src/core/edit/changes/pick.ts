import { z } from 'zod';
import { blankOf, elementsOf, elementsOn, sidesLaid, type Element, type Job, type SideName } from '../../job';
import { changeSide, pieceOf } from '../on-side';
import { CannotChange } from './change';

/** Elements by their names or ids. */
export const On = z
  .union([z.string(), z.array(z.string()).min(1)])
  .describe('Names or ids of elements; a name that several have wants the side beside it, or an id.');
export type On = z.infer<typeof On>;

export const Side = z.string().describe('A side of the piece, such as front, back or page 3; base:ID is a layout.');

/** What elements are picked by. */
export const PICK = { on: On, side: Side.optional() };

/** Elements that lie on one side. */
export interface Picked {
  readonly side: SideName;
  readonly elements: readonly Element[];
  readonly ids: readonly string[];
}

/** Elements that are named, all of one side. @throws CannotChange */
export function picked(job: Job, { on, side }: { readonly on: On; readonly side?: string | undefined }): Picked {
  const names = typeof on === 'string' ? [on] : on;
  const found = names.map((name) => foundBy(job, name, side));
  const sides = [...new Set(found.map((f) => f.side))];
  const [only] = sides;
  if (only === undefined || sides.length > 1)
    throw new CannotChange(`These lie on several sides (${sides.join(', ')}); change each side by itself.`);
  const elements = found.map(({ element }) => element);
  return { side: only, elements, ids: elements.map(({ id }) => id) };
}

/** The one element that is named. @throws CannotChange */
export function pickedOne(
  job: Job,
  pick: { readonly on: On; readonly side?: string | undefined },
): { readonly side: SideName; readonly element: Element } {
  const { side, elements } = picked(job, pick);
  const [element] = elements;
  if (!element || elements.length > 1) throw new CannotChange('This is done to one element; name one.');
  return { side, element };
}

/** An element of a kind. @throws CannotChange when it is another */
export function asKind<K extends Element['kind']>(element: Element, kind: K): Extract<Element, { kind: K }> {
  if (!isKind(element, kind))
    throw new CannotChange(`“${element.name || element.id}” is a ${element.kind}; a ${kind} is wanted.`);
  return element;
}

const isKind = <K extends Element['kind']>(element: Element, kind: K): element is Extract<Element, { kind: K }> =>
  element.kind === kind;

function foundBy(job: Job, name: string, side: string | undefined) {
  const all = elementsOf(pieceOf(job)).filter((e) => side === undefined || e.side === side);
  const byId = all.find(({ element }) => element.id === name);
  if (byId) return byId;
  const named = all.filter(({ element }) => element.name === name);
  const [first] = named;
  const where = side === undefined ? '' : ` on the ${side}`;
  if (!first) throw new CannotChange(`Nothing${where} is called “${name}”.`);
  if (named.length > 1)
    throw new CannotChange(`${named.length} elements${where} are called “${name}”. Name one by its id.`);
  return first;
}

/** A side that the piece has. @throws CannotChange */
export function sideOf(job: Job, wanted: string | undefined): SideName {
  const piece = pieceOf(job);
  const names = blankOf(job, piece).surfaces.map((s) => s.name);
  const side = wanted ?? names[0] ?? 'front';
  if (names.includes(side) || sidesLaid(piece).includes(side)) return side;
  throw new CannotChange(`There is no side “${side}”. There are: ${names.slice(0, 12).join(', ')}.`);
}

/** One element changed. */
export const changeOne = (job: Job, side: SideName, id: string, change: (element: Element) => Element): Job =>
  changeSide(job, side, (list) => list.map((e) => (e.id === id ? change(e) : e)));

/** An id that is asked for and not taken. @throws CannotChange */
export function freeId(job: Job, id: string | undefined, fresh: () => string): string {
  if (id === undefined) return fresh();
  const piece = pieceOf(job);
  const isTaken = elementsOf(piece).some(({ element }) => element.id === id) || elementsOn(piece, id).length > 0;
  if (isTaken) throw new CannotChange(`Something is called “${id}” already; an id is given once.`);
  return id;
}
