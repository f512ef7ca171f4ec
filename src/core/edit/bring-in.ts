import { artElement, pictureFrame } from '../compose';
import { blankOf, elementsOn, rulesFor, withProfile, type Asset, type Element, type Job, type SideName } from '../job';
import { freshId } from './new-element';
import { changeSide, pieceOf } from './on-side';

/** Where a file goes. */
export interface BringPlace {
  readonly side: SideName;
  /** Name or id of the element that takes the file; otherwise it gets one of its own. */
  readonly into?: string | undefined;
  /** Page of a document, from 1. */
  readonly page: number;
  /** What an element of its own is called. */
  readonly id?: string | undefined;
  readonly name?: string | undefined;
}

/** A file that cannot be taken so; the message says why. */
export class CannotBring extends Error {}

/**
 * A file in a job: in the element that is named, or in one of its own; a font, a profile and records need no place.
 * @returns the job, and the element that shows the file
 * @throws CannotBring
 */
export function bringIn(
  job: Job,
  { sha, asset }: { readonly sha: string; readonly asset: Asset },
  place: BringPlace,
): { readonly job: Job; readonly element: string | null } {
  const known: Job = { ...job, assets: { ...job.assets, [sha]: asset } };
  switch (asset.kind) {
    case 'font':
      return { job: known, element: null };
    case 'profile':
      return { job: withProfile(job, sha, asset), element: null };
    case 'data':
      return { job: withRecordsOf(known, sha), element: null };
    case 'picture':
    case 'drawing':
    case 'document': {
      const { into, side } = place;
      if (into !== undefined)
        return { job: changeNamed(known, side, into, (e) => taken(e, sha, asset, place.page)), element: into };
      const element = { ...newFrame(known, sha, asset, place), ...(place.name !== undefined && { name: place.name }) };
      return { job: changeSide(known, side, (list) => [...list, element]), element: element.id };
    }
  }
}

type Shown = Exclude<Asset, { readonly kind: 'font' | 'profile' | 'data' }>;

/** The job with the rows of one of its files as its records. */
export const withRecordsOf = (job: Job, file: string): Job => ({ ...job, records: { from: 'file', file } });

/** One element of a side changed, by its name or id. @throws CannotBring */
export function changeNamed(job: Job, side: SideName, name: string, change: (element: Element) => Element): Job {
  const taking = elementsOn(pieceOf(job), side).filter((e) => e.id === name || e.name === name);
  const [only] = taking;
  if (!only) throw new CannotBring(`Nothing on the ${side} is called “${name}”.`);
  if (taking.length > 1)
    throw new CannotBring(`${taking.length} elements on the ${side} are called “${name}”. Name one by its id.`);
  return changeSide(job, side, (list) => list.map((e) => (e.id === only.id ? change(e) : e)));
}

/** An element that shows the file. @throws CannotBring when it cannot */
function taken(element: Element, sha: string, asset: Shown, page: number): Element {
  if (element.kind === 'picture' && asset.kind === 'picture') return { ...element, picture: sha };
  if (element.kind === 'vector' && asset.kind === 'drawing') return { ...element, drawing: sha };
  if (element.kind === 'page' && asset.kind === 'document')
    return { ...element, document: sha, page: pageOf(asset, page) };
  throw new CannotBring(`“${element.name || element.id}” is a ${element.kind} and cannot show a ${asset.kind}.`);
}

function pageOf(asset: Extract<Asset, { readonly kind: 'document' }>, page: number): number {
  if (page <= asset.pages.length) return page;
  throw new CannotBring(`“${asset.name}” has ${asset.pages.length} pages; there is no page ${page}.`);
}

function newFrame(job: Job, sha: string, asset: Shown, { side, page, id = freshId() }: BringPlace): Element {
  const piece = pieceOf(job);
  const blank = blankOf(job, piece);
  const surface = blank.surfaces.find((s) => s.name === side);
  if (!surface) throw new CannotBring(`There is no side “${side}”.`);
  switch (asset.kind) {
    case 'picture': {
      const isFirst = elementsOn(piece, side).length === 0;
      return pictureFrame(id, sha, asset, surface.boxes, isFirst, rulesFor(job, piece).ppi.value * blank.scale);
    }
    case 'drawing':
      return artElement(id, sha, asset, asset, surface.boxes);
    case 'document': {
      const number = pageOf(asset, page);
      const size = asset.pages[number - 1] ?? { width: 100, height: 100 };
      const element = artElement(id, sha, asset, size, surface.boxes);
      return element.kind === 'page' ? { ...element, page: number } : element;
    }
  }
}
