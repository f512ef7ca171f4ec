import type { Element } from '../element';
import { pictureAsset } from '../job';
import type { ContentReader, NamedTracks, Rect } from '../layout';
import { naturalSize } from './fit-picture';
import { nameOf } from './name';
import { printableTracks } from './printable';
import { tableSize, tableTracks } from './set-table';
import { textSize } from './text';
import type { ElementContext } from './context';

/** Width and height that content has by itself, mm; undefined where it has none. */
function natural(
  element: Element,
  context: ElementContext,
): { readonly width: number; readonly height: number } | undefined {
  switch (element.kind) {
    case 'picture': {
      const asset = pictureAsset(context.assets, element.picture);
      return asset && naturalSize(asset, context.ppi);
    }
    case 'vector':
      return context.art(element.drawing);
    case 'page': {
      const asset = context.assets[element.document];
      return asset?.kind === 'document' ? asset.pages[element.page - 1] : undefined;
    }
    case 'shape':
    case 'line':
    case 'text':
    case 'table':
    case 'printable':
      return undefined;
  }
}

/** Columns and rows that content lays into its own box. */
function tracksIn(element: Element, rect: Rect, context: ElementContext): NamedTracks | undefined {
  if (element.kind === 'table') return tableTracks(element, rect, context);
  return element.kind === 'printable' ? printableTracks(element, rect, context) : undefined;
}

/** A square inch, for what has no size of its own yet. */
const ASSUMED = 25.4;

/** What content takes: a text its lines, a picture its proportion to the other side, or its natural size. */
export const contentReader = (context: ElementContext): ContentReader => ({
  name: nameOf,
  size: (element, axis, other) => {
    if (element.kind === 'text') return textSize(element, axis, other, context);
    if (element.kind === 'table') return tableSize(element, axis, other, context);
    const size = natural(element, context) ?? { width: ASSUMED, height: ASSUMED };
    const [own, beside] = axis === 'x' ? [size.width, size.height] : [size.height, size.width];
    return other === undefined ? own : (other * own) / beside;
  },
  tracks: (element, rect) => tracksIn(element, rect, context),
});
