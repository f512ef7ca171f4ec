import { formatOf, FORMATS, type Format } from '../format';
import { measuresTyped, startJob, takeHouse, unitThoughtIn, type Started } from '../job';
import type { JobUnit } from '../measure';
import { GALLERY, galleryEntry, type GalleryEntry } from '../printable';
import { SHIPPED_PAPERS, SHIPPED_PRINTERS } from '../shop';
import { startPrintable } from './put-printable';

/** A job to begin, by names of what ships, with decisions as they are typed in a field. */
export interface Beginning {
  /** The kind of piece; left out, that on which the printable is usually made. */
  readonly kind?: string | undefined;
  /** An entry of the gallery. */
  readonly printable?: string | undefined;
  readonly set: Readonly<Record<string, string>>;
  readonly name?: string | undefined;
  readonly unit?: JobUnit | undefined;
  readonly printer?: string | undefined;
  readonly paper?: string | undefined;
}

/** Something that does not exist under the name that was given; the message says what there is. */
export class UnknownName extends Error {}

/**
 * Begins a job.
 * @returns the job, or the decision that cannot be read or cannot be, and why
 * @throws UnknownName
 */
export function begin(asked: Beginning, id: string): Started {
  const { set } = asked;
  const entry = asked.printable === undefined ? undefined : printableNamed(asked.printable);
  const format = formatNamed(asked.kind ?? entry?.piece?.kind ?? (entry ? 'worksheet' : ''));
  const unit = asked.unit ?? unitThoughtIn(measuresTyped({ ...format.parameters, ...entry?.of.parameters }, set));
  const about = { id, name: asked.name ?? entry?.title ?? format.title, unit };
  const stock = asked.paper === undefined ? undefined : recordNamed('paper', asked.paper, SHIPPED_PAPERS);
  const house = asked.printer === undefined ? undefined : recordNamed('printer', asked.printer, SHIPPED_PRINTERS);
  const shop = { ...(stock && { stock }), ...(house && { house }) };
  const started = entry ? startPrintable(entry, set, about, shop, format.kind) : startJob(format, set, about, shop);
  return started.ok && house ? { ok: true, job: takeHouse(started.job, house) } : started;
}

function formatNamed(kind: string): Format {
  const found = formatOf(kind);
  if (found) return found;
  throw new UnknownName(`There is no format “${kind}”. Formats: ${FORMATS.map((f) => f.kind).join(', ')}.`);
}

/** An entry of the gallery. @throws UnknownName */
export function printableNamed(id: string): GalleryEntry {
  const found = galleryEntry(id);
  if (found) return found;
  throw new UnknownName(`There is no printable “${id}”. There are: ${GALLERY.map((e) => e.id).join(', ')}.`);
}

/** A record that ships, by its name. @throws UnknownName */
export function recordNamed<R extends { readonly name: string }>(word: string, name: string, records: readonly R[]): R {
  const found = records.find((r) => r.name.toLowerCase() === name.trim().toLowerCase());
  if (found) return found;
  throw new UnknownName(`There is no ${word} “${name}”. There are: ${records.map((r) => r.name).join('; ')}.`);
}
