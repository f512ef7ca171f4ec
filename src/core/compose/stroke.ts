import type { Item, PathItem, StrokeStyle } from '../drawing';
import type { Stroke } from '../element';
import { subPaths, type Path } from '../layout';
import { ptToMm, type Mm } from '../measure';
import { wholeDashes } from '../shape';
import { fineInkOf, type PaintBook } from './ink';

/** Dash and gap of a stroke in mm, as asked for. */
function dashOf({ dash, widthPt }: Stroke): readonly [dash: Mm, gap: Mm] | undefined {
  const width = ptToMm(widthPt);
  if (typeof dash === 'object') return [ptToMm(dash.onPt), ptToMm(dash.offPt)];
  switch (dash) {
    case 'solid':
      return undefined;
    case 'dashed':
      return [width * 4, width * 3];
    case 'dotted':
      return [0, width * 2];
  }
}

/** A stroke as it lies on a path, without its dashes. */
export function strokeStyle(stroke: Stroke, colour: PaintBook): StrokeStyle {
  const { join, align } = stroke;
  return {
    ink: fineInkOf(stroke.paint, colour),
    width: ptToMm(stroke.widthPt),
    dash: [],
    cap: stroke.dash === 'dotted' ? 'round' : stroke.cap,
    ...(join !== 'miter' && { join }),
    ...(align !== 'centre' && { align }),
  };
}

type Base = Pick<PathItem, 'from' | 'opacity' | 'matrix' | 'rule'>;

/** A path with its stroke: one item, or one for each part where every part has dashes of its own. */
export function strokedItems(
  base: Base,
  path: Path,
  fill: PathItem['fill'],
  stroke: Stroke | null,
  colour: PaintBook,
): readonly Item[] {
  if (!stroke) return [{ kind: 'path', ...base, path, fill, stroke: null }];
  const style = strokeStyle(stroke, colour);
  const dash = dashOf(stroke);
  if (!dash) return [{ kind: 'path', ...base, path, fill, stroke: style }];
  if (!stroke.whole) return [{ kind: 'path', ...base, path, fill, stroke: { ...style, dash } }];
  const fitted = wholeDashes(path, ...dash);
  const [only] = fitted;
  if (fitted.length === 1 && only) return [{ kind: 'path', ...base, path, fill, stroke: { ...style, dash: only } }];
  const parts = subPaths(path).map((part, i): Item => ({
    kind: 'path',
    ...base,
    path: part,
    fill: null,
    stroke: { ...style, dash: fitted[i] ?? [] },
  }));
  return fill ? [{ kind: 'path', ...base, path, fill, stroke: null }, ...parts] : parts;
}

/** How far a stroke reaches beyond its path. */
export const strokeReach = ({ widthPt, align }: Stroke): Mm =>
  align === 'in' ? 0 : align === 'out' ? ptToMm(widthPt) : ptToMm(widthPt) / 2;
