import { GALLERY, type GalleryEntry } from '../../core/printable';
import { describeParameters } from '../describe-parameters';
import { print } from '../say';

/** The printables and their decisions. */
export function run(): number {
  print(GALLERY.map(describePrintable));
  return 0;
}

const describePrintable = ({ id, title, about, of, decisions, piece }: GalleryEntry) => ({
  id,
  kind: of.kind,
  group: of.group,
  title,
  about,
  piece: piece?.kind ?? 'worksheet',
  decisions,
  parameters: describeParameters(of.parameters),
});
