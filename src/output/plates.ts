import { imagesIn, pictureKey, plateNames, type Item } from '../core/drawing';
import { MM_PER_INCH } from '../core/measure';
import { itemsOfPart } from '../paint/pdf';
import { readPlates, type InkPixels, type PlateSource, type PlateView, type Plates } from '../paint/plates';
import type { Desk, DeskSide } from './desk';
import { pictureBytes, pictureUse } from './picture-use';
import { inkPixels } from './pictures';
import { pressPage } from './press-page';

/** What is read onto plates: the artwork and its layers, as the press file has them, with its marks or without. */
export function plateItems(desk: Desk, side: DeskSide, at: Date, has: { readonly marks: boolean }): readonly Item[] {
  const parts = pressPage(desk, side, at).parts;
  const shown = has.marks ? parts : parts.slice(0, -1);
  return shown.flatMap((part) => ('layer' in part ? part.layer.items : itemsOfPart(part)));
}

/** The inks of the pictures among items, as many pixels as the press file has and no more than the view can show. */
export async function picturesFor(
  desk: Desk,
  side: DeskSide,
  items: readonly Item[],
  scale: number,
): Promise<PlateSource['picture']> {
  const converter = desk.profile.pictures();
  // As the press file has them; twice as fine as the view, so that what is averaged is what would be printed.
  const seen = Math.min(side.rules.ppi.value, (2 * scale * MM_PER_INCH) / 1.5);
  const known = new Map<string, InkPixels>();
  for (const item of imagesIn(items)) {
    // A colour is cleared by what the press file’s pixels are: in fewer, it would lie elsewhere.
    const needed = item.kind === 'picture' && item.adjust?.clear ? side.rules.ppi.value : seen;
    const use = item.kind === 'picture' ? pictureUse(desk.job, item, needed) : undefined;
    if (item.kind !== 'picture' || !use || known.has(pictureKey(item))) continue;
    const bytes = await pictureBytes(desk, use);
    known.set(pictureKey(item), await inkPixels(bytes, use.asset, use.size, converter, use.treatment));
  }
  return (item) => known.get(pictureKey(item));
}

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
