import { bingo } from './bingo';
import { counting } from './counting';
import { dayPlanner } from './day-planner';
import { fields } from './fields';
import { handwriting } from './handwriting';
import { hexagons } from './hexagons';
import { isometric } from './isometric';
import { lines } from './lines';
import { list } from './list';
import { logTable } from './log-table';
import { logarithmic } from './logarithmic';
import { month } from './month';
import { notes } from './notes';
import { polar } from './polar';
import type { Preset, Printable } from './printable';
import { squares } from './squares';
import { strip } from './strip';
import { tearOff } from './tear-off';
import { tickets } from './tickets';
import { weekPlanner } from './week-planner';
import { year } from './year';

/** Every kind of printable, in the order of the gallery. */
export const PRINTABLES: readonly Printable[] = [
  lines,
  notes,
  squares,
  isometric,
  hexagons,
  logarithmic,
  polar,
  list,
  fields,
  dayPlanner,
  weekPlanner,
  month,
  strip,
  year,
  handwriting,
  counting,
  logTable,
  tearOff,
  bingo,
  tickets,
];

const BY_KIND = new Map(PRINTABLES.map((p) => [p.kind, p]));

/** @throws RangeError for a kind that is not there; a job that was read has none */
export function printableOf(kind: string): Printable {
  const found = BY_KIND.get(kind);
  if (!found) throw new RangeError(`There is no printable “${kind}”.`);
  return found;
}

/** An entry of the gallery, with the kind that it is of. */
export interface GalleryEntry extends Preset {
  readonly of: Printable;
}

export const GALLERY: readonly GalleryEntry[] = PRINTABLES.flatMap((of) =>
  of.presets.map((preset) => ({ ...preset, of })),
);

export const galleryEntry = (id: string): GalleryEntry | undefined => GALLERY.find((e) => e.id === id);
