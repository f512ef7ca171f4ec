import { EDGE_NAMES, grow, insets, scaledEdges, type EdgeLengths, type Rect } from '../layout';
import { MM_PER_PT, type Mm } from '../measure';
import type { PageItem } from './drawing';

/** A page of a PDF as it says of itself, points, y up. */
export interface PageBoxes {
  readonly trim: Rect;
  /** Degrees clockwise that it is turned when it is shown, in quarters (ISO 32000-1, 7.7.3.3). */
  readonly rotate: number;
}

/**
 * What is shown of a page: its trim box and what is wished beyond it, points, y up.
 * @param beyond mm of the page as it is shown
 */
export const shownBox = ({ trim, rotate }: PageBoxes, beyond: EdgeLengths): Rect =>
  grow(trim, upsideDown(scaledEdges(turned(beyond, rotate), 1 / MM_PER_PT)));

/** How far an outer box goes beyond the trim, mm of the page as it is shown. */
export const beyondTrim = ({ trim, rotate }: PageBoxes, outer: Rect): EdgeLengths =>
  turned(scaledEdges(upsideDown(insets(trim, outer)), MM_PER_PT), -rotate);

/** Edges of what is turned clockwise, as they are called before it is. */
function turned({ top, right, bottom, left }: EdgeLengths, rotate: number): EdgeLengths {
  const clockwise = [top, right, bottom, left];
  const quarters = (((rotate / 90) % 4) + 4) % 4;
  const at = (edge: number): Mm => clockwise[(edge + quarters) % 4] ?? 0;
  return { top: at(0), right: at(1), bottom: at(2), left: at(3) };
}

/** On a page of a PDF y goes up. */
const upsideDown = (edges: EdgeLengths): EdgeLengths => ({ ...edges, top: edges.bottom, bottom: edges.top });

/** What the picture of a page depends on, written as an address: two items of one key show the same. */
export const pageKey = ({ document, page, beyond }: Pick<PageItem, 'document' | 'page' | 'beyond'>): string =>
  `${document}/page/${page}${beyond ? `?beyond=${EDGE_NAMES.map((edge) => beyond[edge].toFixed(4)).join(',')}` : ''}`;

/** Lengths beyond a trim as a key writes them, mm; undefined where they are none. */
export function readBeyond(text: string): EdgeLengths | undefined {
  const lengths = text.split(',').map(Number);
  const [top, right, bottom, left] = lengths;
  if (top === undefined || right === undefined || bottom === undefined || left === undefined) return undefined;
  return lengths.length === 4 && lengths.every((mm) => mm >= 0 && mm <= MOST)
    ? { top, right, bottom, left }
    : undefined;
}

/** More of a page beyond its trim is not drawn, mm [own]. */
const MOST = 1000;
