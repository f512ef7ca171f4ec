import type { PageItem } from '../drawing';
import type { ElementOf } from '../element';
import {
  EDGE_NAMES,
  edges,
  grow,
  insets,
  intersection,
  isIdentity,
  mapPath,
  multiply,
  rectPath,
  scaledEdges,
  scaling,
  type Matrix,
  type Point,
  type Rect,
} from '../layout';
import type { Body, ElementContext, Setting } from './context';
import { artMatrix } from './picture';

/** A page of a document, as large as fits in its box, and in the bleed what it was told to have there. */
export function composePage(element: ElementOf<'page'>, setting: Setting, context: ElementContext): Body {
  const { rect, reach, matrix } = setting;
  const asset = context.assets[element.document];
  const page = asset?.kind === 'document' ? asset.pages[element.page - 1] : undefined;
  if (!page || rect.width <= 0 || rect.height <= 0)
    return { items: [], ink: rect, notes: [{ kind: 'missing-picture', element: element.id, empty: false }] };
  const set = artMatrix(rect, page, false);
  const [scale] = set;
  const image = { x: set[4], y: set[5], width: page.width * scale, height: page.height * scale };
  const plain: PageItem = {
    kind: 'page',
    from: element.id,
    opacity: 1,
    matrix,
    document: element.document,
    page: element.page,
    image,
  };
  switch (element.beyond) {
    case 'nothing':
      return { items: [plain], ink: image, notes: [] };
    case 'own': {
      const has = page.beyond ?? edges(0);
      const shown = intersection(grow(image, scaledEdges(has, scale)), reach);
      const beyond = scaledEdges(insets(image, shown), 1 / scale);
      const isMore = EDGE_NAMES.some((edge) => beyond[edge] > 1e-9);
      return { items: [isMore ? { ...plain, image: shown, beyond } : plain], ink: shown, notes: [] };
    }
    case 'mirrored':
      return { items: [...mirrored(plain, reach), plain], ink: reach, notes: [] };
    case 'stretched':
      return { items: [{ ...plain, image: reach }], ink: reach, notes: [] };
  }
}

/** So far a mirrored strip lies beneath the page that it goes on from: no hairline shows between them, mm [own]. */
const LAP = 0.1;

/** The strips and corners around a page, each showing it mirrored at the edge that it lies along. */
function mirrored(plain: PageItem, reach: Rect): readonly PageItem[] {
  const { image, matrix } = plain;
  const out = insets(image, reach);
  const [right, bottom] = [image.x + image.width, image.y + image.height];
  const across = [
    { x: reach.x, width: out.left + LAP, axis: image.x + LAP / 2 },
    { x: image.x, width: image.width, axis: undefined },
    { x: right - LAP, width: out.right + LAP, axis: right - LAP / 2 },
  ];
  const down = [
    { y: reach.y, height: out.top + LAP, axis: image.y + LAP / 2 },
    { y: image.y, height: image.height, axis: undefined },
    { y: bottom - LAP, height: out.bottom + LAP, axis: bottom - LAP / 2 },
  ];
  return across.flatMap(({ axis: upright, ...column }) =>
    down.flatMap(({ axis: level, ...row }) => {
      const isPage = upright === undefined && level === undefined;
      if (isPage || column.width <= LAP || row.height <= LAP) return [];
      const strip = rectPath({ ...column, ...row });
      const path = isIdentity(matrix) ? strip : mapPath(strip, matrix);
      const flip = flipAt({ x: upright ?? 0, y: level ?? 0 }, upright !== undefined, level !== undefined);
      return [{ ...plain, matrix: multiply(matrix, flip), clip: { path, rule: 'nonzero' as const } }];
    }),
  );
}

const flipAt = (about: Point, isAcross: boolean, isDown: boolean): Matrix =>
  scaling(isAcross ? -1 : 1, isDown ? -1 : 1, about);
