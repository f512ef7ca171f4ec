import type { Item, PictureItem } from '../core/drawing';
import { pictureAsset } from '../core/job';
import { effectivePpi } from '../core/compose';
import { MM_PER_INCH } from '../core/measure';
import { plateNames, readPlates, type InkPixels, type PlateSource, type PlateView, type Plates } from '../paint/plates';
import { CannotExport } from './cannot-export';
import type { Desk, DeskSide } from './desk';
import { treatmentOf } from './pdf-request';
import { inkPixels, sentSize } from './pictures';
import { pressPage } from './press';

/** What is read onto plates: the artwork and its layers, as the press file has them, with its marks or without. */
export function plateItems(desk: Desk, side: DeskSide, at: Date, has: { readonly marks: boolean }): readonly Item[] {
  const parts = pressPage(desk, side, at).parts;
  const shown = has.marks ? parts : parts.slice(0, -1);
  return shown.flatMap((part) => ('items' in part ? part.items : part.layer.items));
}

/** The inks of the pictures among items, as many pixels as the press file has and no more than the view can show. */
export async function picturesFor(desk: Desk, side: DeskSide, items: readonly Item[], scale: number): Promise<(item: PictureItem) => InkPixels | undefined> {
  const converter = desk.profile.pictures();
  // As the press file has them; twice as fine as the view, so that what is averaged is what would be printed.
  const needed = Math.min(side.rules.ppi.value, (2 * scale * MM_PER_INCH) / 1.5);
  const known = new Map<string, InkPixels>();
  const byItem = new Map<PictureItem, InkPixels>();
  for (const item of picturesIn(items)) {
    const asset = pictureAsset(desk.job.assets, item.picture);
    if (!asset) continue;
    const size = sentSize(asset, effectivePpi(item.image, asset), needed);
    const treatment = treatmentOf(item, size);
    const key = JSON.stringify([item.picture, size, treatment]);
    let found = known.get(key);
    if (!found) {
      const bytes = await desk.assets.get(item.picture);
      if (!bytes) throw new CannotExport(`The picture “${asset.name}” is missing. Bring it in again.`);
      found = await inkPixels(bytes, asset, size, converter, treatment);
      known.set(key, found);
    }
    byItem.set(item, found);
  }
  return (item) => byItem.get(item);
} // prettier-ignore

/** Pictures, those of soft masks too. */
const picturesIn = (items: readonly Item[]): readonly PictureItem[] =>
  items.flatMap((item) =>
    item.kind === 'group'
      ? [...picturesIn(item.items), ...(item.mask ? picturesIn(item.mask.of) : [])]
      : item.kind === 'picture'
        ? [item]
        : [],
  );

/** What the plate reader asks of a desk. */
export const plateSource = (desk: Desk, picture: PlateSource['picture']): PlateSource => ({
  outline: (key, gid) => {
    const font = desk.fonts.set.file(key);
    return font && { path: font.outline(gid), unitsPerEm: font.unitsPerEm };
  },
  picture,
  page: () => undefined,
});

/** Every plate of a side. */
export async function sidePlates(desk: Desk, side: DeskSide, items: readonly Item[], view: PlateView): Promise<Plates> {
  return readPlates(
    items,
    plateNames(items),
    view,
    plateSource(desk, await picturesFor(desk, side, items, view.scale)),
  );
}
