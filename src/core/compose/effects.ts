import { silhouettes, dilate, type GroupItem, type Ink, type Item, type Leaf, type SoftMask } from '../drawing';
import { extentOf, mmOf, type Effect, type EffectOf, type Measures } from '../element';
import { IDENTITY, edges, grow, multiply, rectPath, translation, union, type Rect } from '../layout';
import { solidInk, type PaintBook } from './ink';

/** What effects need: the finished items and the upright box around them on the surface. */
export interface Lit {
  readonly from: string;
  readonly items: readonly Item[];
  readonly bounds: Rect;
  readonly measures: Measures;
  readonly colour: PaintBook;
}

/** A Gaussian is as good as gone after three standard deviations. */
const GONE = 3;

/** A blur is given as a length over which an edge fades: two standard deviations. */
const sigmaOf = (blur: number): number => blur / 2;

/** The items with their effects, lowest first, and the box around everything. */
export function withEffects(
  effects: readonly Effect[],
  lit: Lit,
): { readonly items: readonly Item[]; readonly bounds: Rect } {
  let body = lit.items;
  let silhouette = lit.items;
  const beneath: Item[] = [];
  let bounds = lit.bounds;
  const mm = (extent: Parameters<typeof extentOf>[0]) => extentOf(extent, lit.measures);
  const around = (by: number) => grow(lit.bounds, edges(by));
  const outlines = effects.filter((e) => e.effect === 'outline');
  for (const effect of outlines) {
    const band = outlined(lit.items, effect, mm(effect.width), lit);
    beneath.unshift(...band);
    silhouette = [...band, ...silhouette];
    bounds = union([bounds, around(mm(effect.width))]);
  }
  const widest = Math.max(0, ...outlines.map((e) => mm(e.width)));
  for (const effect of effects) {
    switch (effect.effect) {
      case 'outline':
        break;
      case 'shadow':
      case 'glow': {
        const cast = castOf(effect, lit.measures);
        const region = around(widest + cast.grow + cast.blur * GONE);
        beneath.unshift(castItem(effect, cast, silhouette, region, lit));
        bounds = union([bounds, { ...region, x: region.x + cast.dx, y: region.y + cast.dy }]);
        break;
      }
      case 'blur': {
        const blur = sigmaOf(mm(effect.blur));
        const region = around(widest + blur * GONE);
        if (blur > 0) body = body.flatMap((item) => blurred(item, blur, region));
        bounds = union([bounds, region]);
        break;
      }
      case 'soft-edge': {
        const blur = sigmaOf(mm(effect.blur));
        // Drawn in by two standard deviations, so that it has faded out at its edge.
        if (blur > 0)
          body = [masked(lit.from, body, { of: silhouette, grow: -2 * blur, blur, region: around(widest) })];
        break;
      }
    }
  }
  return { items: [...beneath, ...body], bounds };
}

interface Cast {
  readonly dx: number;
  readonly dy: number;
  readonly grow: number;
  readonly blur: number;
}

const castOf = (effect: EffectOf<'shadow' | 'glow'>, measures: Measures): Cast => ({
  dx: effect.effect === 'shadow' ? mmOf(effect.dx, measures) : 0,
  dy: effect.effect === 'shadow' ? mmOf(effect.dy, measures) : 0,
  grow: extentOf(effect.spread, measures),
  blur: sigmaOf(extentOf(effect.blur, measures)),
});

/** The silhouette in one ink, moved, grown and blurred. */
function castItem(
  effect: EffectOf<'shadow' | 'glow'>,
  cast: Cast,
  of: readonly Item[],
  region: Rect,
  { from, colour }: Lit,
): GroupItem {
  const ink = solidInk(effect.paint, colour);
  const matrix = translation(cast.dx, cast.dy);
  const blend = effect.blend === 'normal' ? {} : { blend: effect.blend };
  const common = { kind: 'group' as const, from, opacity: effect.opacity, matrix, region, ...blend };
  const area: Item = {
    kind: 'path',
    from,
    opacity: 1,
    matrix: IDENTITY,
    path: rectPath(region),
    fill: ink,
    stroke: null,
  };
  return { ...common, items: [area], mask: { of: silhouettes(of), grow: cast.grow, blur: cast.blur, region } };
}

const masked = (from: string, items: readonly Item[], mask: SoftMask): GroupItem => ({
  kind: 'group',
  from,
  opacity: 1,
  matrix: IDENTITY,
  items,
  region: mask.region,
  mask: { ...mask, of: silhouettes(mask.of) },
});

/** An item seen through its own blurred silhouette; a picture’s pixels are blurred too. */
function blurred(item: Item, blur: number, region: Rect): readonly Item[] {
  const through = (items: readonly Item[], of: readonly Item[]) =>
    masked(item.from, items, { of, grow: 0, blur, region });
  const area = (ink: Ink): Item => ({
    kind: 'path',
    from: item.from,
    opacity: item.opacity,
    matrix: IDENTITY,
    path: rectPath(region),
    fill: ink,
    stroke: null,
  });
  switch (item.kind) {
    case 'path': {
      const { fill, stroke } = item;
      return [
        // A gradient goes on under the blur: it is drawn where it was, over a wider box.
        ...(fill
          ? [
              through(fill.kind === 'gradient' ? [{ ...item, path: rectPath(region), stroke: null }] : [area(fill)], [
                { ...item, stroke: null },
              ]),
            ]
          : []),
        ...(stroke ? [through([area(stroke.ink)], [{ ...item, fill: null }])] : []),
      ];
    }
    case 'glyphs':
      return [through([area(item.ink)], [item])];
    case 'picture':
      return [through([{ ...item, blur, frame: grow(item.frame, edges(blur * GONE)) }], [item])];
    case 'page':
      return [through([item], [item])];
    case 'group':
      return [{ ...item, items: item.items.flatMap((inner) => blurred(inner, blur, region)) }];
  }
}

/** A band around items: themselves in one ink, with a stroke of twice the width. */
function outlined(
  items: readonly Item[],
  effect: EffectOf<'outline'>,
  width: number,
  { colour }: Lit,
): readonly Item[] {
  const ink = solidInk(effect.paint, colour);
  // What is partly transparent has no outline to draw a band along.
  return dilate(
    items.filter((item) => item.kind !== 'picture' || !item.isClear),
    ink,
    width,
  );
}

/** Laid on as one, with an opacity and a way of mixing; a single plain item carries them itself. */
export function together(
  items: readonly Item[],
  look: Pick<GroupItem, 'from' | 'opacity' | 'blend'>,
  region: Rect,
): readonly Item[] {
  if (look.opacity >= 1 && !look.blend) return items;
  const [only] = items;
  if (items.length === 1 && only && isPlain(only))
    return [{ ...only, opacity: only.opacity * look.opacity, ...(look.blend && { blend: look.blend }) }];
  return items.length === 0 ? [] : [{ kind: 'group', matrix: IDENTITY, region, items, ...look }];
}

/** Filled or stroked but not both: nothing of it shows through itself. */
const isPlain = (item: Item): item is Leaf =>
  item.kind !== 'group' &&
  !(item.kind === 'path' && item.fill && item.stroke) &&
  !(item.kind === 'path' && item.fill?.kind === 'gradient');

/** Items set down elsewhere. */
export const moved = (items: readonly Item[], by: Item['matrix']): readonly Item[] =>
  items.map((item) => ({ ...item, matrix: multiply(by, item.matrix) }));
