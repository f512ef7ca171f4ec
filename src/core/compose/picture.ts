import type { ElementOf } from '../element';
import { mmOf } from '../element';
import type { Item, PictureItem } from '../drawing';
import { solidInk } from './ink';
import { pictureAsset } from '../job';
import {
  IDENTITY,
  centreOf,
  isIdentity,
  multiply,
  rectPath,
  rotation,
  scaling,
  translation,
  type Matrix,
  type Rect,
} from '../layout';
import { fitPicture } from './fit-picture';
import type { Body, Setting, ElementContext } from './context';
import { tonesOf } from './picture-inks';

export function composePicture(element: ElementOf<'picture'>, setting: Setting, context: ElementContext): Body {
  const { reach, matrix } = setting;
  const asset = pictureAsset(context.assets, element.picture);
  if (!asset || element.picture === null || reach.width <= 0 || reach.height <= 0) {
    return {
      items: [],
      ink: reach,
      notes: [{ kind: 'missing-picture', element: element.id, empty: element.picture === null }],
    };
  }
  const { measures } = context.boxes;
  const fitted = fitPicture(reach, asset, element.fit, element.focus, context.ppi, element.turn);
  const image = {
    ...fitted,
    x: fitted.x + mmOf(element.offset.x, measures),
    y: fitted.y + mmOf(element.offset.y, measures),
  };
  const content = contentOf(element, image);
  const tones = tonesOf(element.adjust);
  const inkMost = context.inkMost?.({ picture: element.picture, ...tones });
  const item: PictureItem = {
    kind: 'picture',
    from: element.id,
    opacity: 1,
    matrix,
    picture: element.picture,
    image,
    frame: reach,
    ...(!isIdentity(content) && { content }),
    ...(asset.alpha || element.adjust.clear ? { isClear: true as const } : {}),
    ...tones,
    ...(inkMost !== undefined && { inkMost }),
  };
  return { items: withOverlay(item, element, context), ink: reach, notes: [] };
}

/** A colour over the picture, mixed with it alone, and only where the picture is. */
function withOverlay(
  item: PictureItem,
  { id, adjust }: ElementOf<'picture'>,
  context: ElementContext,
): readonly Item[] {
  const { overlay } = adjust;
  if (!overlay || overlay.opacity === 0) return [item];
  const { frame: region, matrix } = item;
  const over: Item = {
    kind: 'path',
    from: id,
    opacity: overlay.opacity,
    matrix: IDENTITY,
    path: rectPath(region),
    fill: solidInk(overlay.paint, context.colour),
    stroke: null,
    ...(overlay.blend !== 'normal' && { blend: overlay.blend }),
  };
  const flat: PictureItem = { ...item, matrix: IDENTITY };
  const mask = item.isClear ? { mask: { of: [flat], grow: 0, blur: 0, region } } : {};
  return [{ kind: 'group', from: id, opacity: 1, matrix, region, items: [flat, over], ...mask }];
}

/** The content mirrored and then turned about its own middle. */
function contentOf({ turn, flip }: ElementOf<'picture'>, image: Rect): Matrix {
  const about = centreOf(image);
  const flipped = flip.across || flip.down ? scaling(flip.across ? -1 : 1, flip.down ? -1 : 1, about) : IDENTITY;
  return turn % 360 === 0 ? flipped : multiply(rotation(turn, about), flipped);
}

/** A drawing in its box: as large as fits with its proportion, in the middle, or stretched both ways. */
export function artMatrix(
  rect: Rect,
  art: { readonly width: number; readonly height: number },
  stretch: boolean,
): Matrix {
  const [sx, sy] = [rect.width / art.width, rect.height / art.height];
  const [x, y] = stretch ? [sx, sy] : [Math.min(sx, sy), Math.min(sx, sy)];
  const [dx, dy] = [(rect.width - art.width * x) / 2, (rect.height - art.height * y) / 2];
  return multiply(translation(rect.x + dx, rect.y + dy), [x, 0, 0, y, 0, 0]);
}
