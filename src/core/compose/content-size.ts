import { nameOf } from '../element';
import type { ContentReader } from '../layout';
import type { ElementContext } from './context';
import { composedKind } from './kinds';

/** What content takes: a text its lines, a picture its proportion to the other side, or its natural size. */
export const contentReader = (context: ElementContext): ContentReader => ({
  name: nameOf,
  size: (element, axis, other) => composedKind(element.kind).size(element, axis, other, context),
  tracks: (element, rect) => composedKind(element.kind).tracks(element, rect, context),
});
