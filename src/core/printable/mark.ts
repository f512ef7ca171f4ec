import { ellipsePath, rectPath, type Path, type Point, type Rect } from '../geometry';
import { ptToMm, type Mm } from '../measure';

/** What a mark is coloured with; the printable says which paint each of them is. */
export const ROLES = ['ink', 'pale', 'accent', 'tint', 'paper'] as const;
export type Role = (typeof ROLES)[number];

export const DASHES = ['solid', 'dashed', 'dotted'] as const;
export type Dash = (typeof DASHES)[number];

export interface LineStyle {
  readonly role: Role;
  readonly weightPt: number;
  readonly dash: Dash;
  /** Gaps between dashes or dots, in times the usual; left out, 1. */
  readonly sparse?: number;
}

/** Which of the printable’s two typefaces. */
export type FaceName = 'text' | 'title';

/** How letters are drawn: full, as an outline of dashes or dots, to be traced. */
export type LetterForm = 'solid' | 'dashed' | 'dotted';

/** Words on one line. */
export interface Words {
  readonly kind: 'words';
  readonly text: string;
  readonly face: FaceName;
  readonly bold: boolean;
  /** Of the em. */
  readonly size: Mm;
  /** On the baseline: where they begin, have their middle, or end. */
  readonly at: Point;
  readonly align: 'left' | 'centre' | 'right';
  readonly role: Role;
  readonly form: LetterForm;
  /** Gaps of a dashed or dotted form, in times the usual; left out, 1. */
  readonly sparse?: number;
  /** Turned about `at`, degrees clockwise; left out, level. */
  readonly turn?: number;
}

/** What a printable is made of; lengths in mm from the top left corner of its box. */
export type Mark =
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point; readonly style: LineStyle }
  | { readonly kind: 'shape'; readonly path: Path; readonly fill: Role | null; readonly stroke: LineStyle | null }
  | Words;

export const line = (from: Point, to: Point, style: LineStyle): Mark => ({ kind: 'line', from, to, style });
export const level = (y: Mm, from: Mm, to: Mm, style: LineStyle): Mark => line({ x: from, y }, { x: to, y }, style);
export const upright = (x: Mm, from: Mm, to: Mm, style: LineStyle): Mark => line({ x, y: from }, { x, y: to }, style);

export const solid = (weightPt: number, role: Role = 'ink'): LineStyle => ({ role, weightPt, dash: 'solid' });

type WordsMore = Partial<Pick<Words, 'face' | 'bold' | 'align' | 'role' | 'form' | 'sparse' | 'turn'>>;

/** Words; left out, plain ones of the text face, from the left, in the ink. */
export const words = (text: string, at: Point, size: Mm, more: WordsMore = {}): Mark => ({
  kind: 'words',
  text,
  at,
  size,
  face: 'text',
  bold: false,
  align: 'left',
  role: 'ink',
  form: 'solid',
  ...more,
});

/** The outline of a box, its line wholly inside. */
export function boxed(box: Rect, style: LineStyle | null, fill: Role | null = null, radius: Mm = 0): Mark {
  const half = style ? ptToMm(style.weightPt) / 2 : 0;
  const inner = {
    x: box.x + half,
    y: box.y + half,
    width: Math.max(0, box.width - 2 * half),
    height: Math.max(0, box.height - 2 * half),
  };
  return { kind: 'shape', path: rectPath(inner, radius), fill, stroke: style };
}

/** A circle in the middle of which a point is. */
export const disc = (centre: Point, radius: Mm, stroke: LineStyle | null, fill: Role | null = null): Mark => ({
  kind: 'shape',
  path: ellipsePath({ x: centre.x - radius, y: centre.y - radius, width: 2 * radius, height: 2 * radius }),
  fill,
  stroke,
});
