import { fromEvent } from 'file-selector';

/** Files that a system keeps in folders for itself begin so. */
const HIDDEN = /^\./;

/**
 * The files that were dropped, with those in folders and their folders, by their names: the tenth comes after the
 * ninth.
 */
export async function filesOf(event: DragEvent): Promise<readonly File[]> {
  const dropped = await fromEvent(event);
  return dropped
    .flatMap((file) => (file instanceof File && !HIDDEN.test(file.name) ? [file] : []))
    .sort((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }));
}
