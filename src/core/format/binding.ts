import type { Mm } from '../measure';
import { Impossible } from '../parameter';

export type Binding = 'saddle' | 'perfect' | 'wire';

/** Pages of a sheet: page counts that a binding takes are multiples of it. */
const MULTIPLE: Readonly<Record<Binding, number>> = { saddle: 4, perfect: 2, wire: 2 };

/** Least and most pages [cp]. */
const RANGE: Readonly<Record<Binding, readonly [number, number]>> = {
  saddle: [4, 96],
  perfect: [32, 1200],
  wire: [4, 400],
};

const WORDS: Readonly<Record<Binding, string>> = {
  saddle: 'A saddle-stitched booklet',
  perfect: 'A perfect-bound book',
  wire: 'A wire-bound book',
};

/**
 * Refuses a page count that the binding does not take, with what it would.
 * @throws Impossible with the nearest counts and the pages that would stay blank
 */
export function assertPages(binding: Binding, pages: number, unit: 'cover' | 'plain' = 'plain'): void {
  const step = MULTIPLE[binding];
  const [least, most] = RANGE[binding];
  const words = WORDS[binding];
  if (pages % step !== 0) {
    const more = Math.ceil(pages / step) * step;
    const fewer = more - step;
    const blank = Array.from({ length: more - pages }, (_, i) => pages + i + 1);
    const message =
      `${words} has pages in ${step}s: take ${more}, with ` +
      `${blank.length === 1 ? `page ${blank[0]}` : `pages ${blank.join(', ')}`} ` +
      `blank${fewer >= least ? `, or ${fewer}` : ''}.`;
    throw new Impossible('pages', message);
  }
  if (pages < least || pages > most)
    throw new Impossible(
      'pages',
      `${words} has from ${least} to ${most} pages` +
        (unit === 'cover' ? ' inside its cover' : '') +
        `${pages > most && binding === 'saddle' ? '; bind it otherwise' : ''}.`,
    );
}

/**
 * Refuses an inner margin that leaves less than half of the page.
 * @throws Impossible with the most that can be
 */
export function assertInner(inner: Mm, pageWidth: Mm, write: (mm: Mm) => string): void {
  if (inner > pageWidth / 2)
    throw new Impossible(
      'inner',
      `The inner margin takes more than half of the page: at most ${write(pageWidth / 2)}.`,
    );
}

/** How far the pages of each sheet stand out beyond those of the outermost, from the outside in: creep, mm [cp]. */
export const creepOf = (sheets: number, caliper: number): readonly number[] =>
  Array.from({ length: sheets }, (_, i) => i * caliper);
