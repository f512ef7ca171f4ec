import type { Copy, DriftSide, Shift } from '@/core/drift';
import { centreOf, pathText, type Path, type Point, type Rect } from '@/core/layout';
import type { ProcessLine } from '@/core/shop';
import type { Projection } from '../view/bench-view';

/** What a picture of copies is made of. Nothing of it is drawn anew for a copy: it is shifted, turned and cut. */
export interface PileParts {
  readonly side: DriftSide;
  /** The printed side out to its bleed. */
  readonly art: CanvasImageSource;
  readonly bleed: Rect;
  readonly outline: Path;
  readonly folds: readonly ProcessLine[];
  /** Areas that a second pass lays down, and the colour that shows each; none of what lies beneath the print. */
  readonly passes: readonly { readonly path: Path; readonly colour: string | undefined }[];
  readonly white: string;
  readonly ink: string;
  /** Of the cuts of many copies, on dark and light alike. */
  readonly knife: string;
  readonly at: Projection;
}

/** How far a fanned copy lies from the one above it, as a share of the side. */
const FAN = 0.03;
/** How much of that it lies higher. */
const RISE = 0.25;

type Context = CanvasRenderingContext2D;

/** One copy where it lies: cut as it was cut, printed as it was printed. */
export function drawCopy(context: Context, parts: PileParts, copy: Copy, by: Point = { x: 0, y: 0 }): void {
  const { side, at, art, bleed, white } = parts;
  const middle = centreOf(side.trim);
  context.save();
  context.translate(at.x(by.x), at.y(by.y));
  context.scale(at.scale, at.scale);
  const cut = cutOf(parts, copy);
  context.fillStyle = white;
  context.fill(cut);
  context.save();
  context.clip(cut);
  if (side.isBack) shifted(context, copy.back, middle);
  context.drawImage(art, bleed.x, bleed.y, bleed.width, bleed.height);
  parts.passes.forEach(({ path, colour }, i) => {
    if (colour === undefined) return;
    const pass = copy.passes[i];
    context.save();
    if (pass) shifted(context, pass, middle);
    context.globalAlpha = 0.35;
    context.fillStyle = colour;
    context.fill(new Path2D(pathText(path)), 'evenodd');
    context.restore();
  });
  context.restore();
  drawFolds(context, parts, copy);
  drawHoles(context, parts, copy);
  context.lineWidth = 0.75 / at.scale;
  context.strokeStyle = parts.ink;
  context.globalAlpha = 0.5;
  context.stroke(cut);
  context.restore();
}

/** Where the edge was meant, beside where it is. */
export function drawMeant(context: Context, { outline, at, knife }: PileParts): void {
  context.save();
  context.translate(at.x(0), at.y(0));
  context.scale(at.scale, at.scale);
  context.setLineDash([4 / at.scale, 3 / at.scale]);
  context.lineWidth = 1 / at.scale;
  context.strokeStyle = knife;
  context.stroke(new Path2D(pathText(outline)));
  context.restore();
}

/** Where it is folded on this copy. */
function drawFolds(context: Context, parts: PileParts, copy: Copy): void {
  const { at, ink } = parts;
  context.save();
  context.setLineDash([3 / at.scale, 3 / at.scale]);
  context.lineWidth = 1 / at.scale;
  context.strokeStyle = ink;
  context.globalAlpha = 0.7;
  for (const [from, to] of foldsOf(parts, copy)) {
    context.beginPath();
    context.moveTo(from.x, from.y);
    context.lineTo(to.x, to.y);
    context.stroke();
  }
  context.restore();
}

/** What is drilled out of it: one sees through. */
function drawHoles(context: Context, { side, at, ink }: PileParts, { holes }: Copy): void {
  for (const { x, y, width, height } of side.holes) {
    const hole = new Path2D();
    hole.ellipse(x + width / 2 + holes.x, y + height / 2 + holes.y, width / 2, height / 2, 0, 0, 2 * Math.PI);
    context.save();
    context.globalCompositeOperation = 'destination-out';
    context.fill(hole);
    context.restore();
    context.save();
    context.lineWidth = 0.75 / at.scale;
    context.strokeStyle = ink;
    context.globalAlpha = 0.5;
    context.stroke(hole);
    context.restore();
  }
}

const foldsOf = ({ folds }: PileParts, copy: Copy): readonly (readonly [Point, Point])[] =>
  folds.map(({ from, to }, i) => {
    const off = copy.folds[i] ?? 0;
    const isUpright = Math.abs(from.x - to.x) < Math.abs(from.y - to.y);
    const moved = ({ x, y }: Point) => (isUpright ? { x: x + off, y } : { x, y: y + off });
    return [moved(from), moved(to)];
  });

function shifted(context: Context, { x, y, turn }: Shift, middle: Point): void {
  context.translate(middle.x + x, middle.y + y);
  context.rotate((turn * Math.PI) / 180);
  context.translate(-middle.x, -middle.y);
}

/** The edge of a copy. */
function cutOf({ side, outline }: PileParts, { cut, die }: Copy): Path2D {
  const { x, y, width, height } = side.trim;
  const path = new Path2D();
  if (side.line.trimming.moves === 'edges') {
    path.rect(x - cut.left, y - cut.top, width + cut.left + cut.right, height + cut.top + cut.bottom);
    return path;
  }
  const middle = centreOf(side.trim);
  const map = new DOMMatrix()
    .translate(middle.x + die.x, middle.y + die.y)
    .rotate(die.turn)
    .translate(-middle.x, -middle.y);
  path.addPath(new Path2D(pathText(outline)), map);
  return path;
}

/** Copies of one pile one below the other, the topmost last. @param shown numbers of the copies, the topmost first */
export function drawFan(context: Context, parts: PileParts, copies: readonly Copy[], shown: readonly number[]): void {
  const step = Math.max(parts.side.trim.width, parts.side.trim.height) * FAN;
  const middle = (shown.length - 1) / 2;
  [...shown.entries()].reverse().forEach(([i, number]) => {
    const copy = copies[number];
    if (copy) drawCopy(context, parts, copy, { x: (i - middle) * step, y: (middle - i) * step * RISE });
  });
}

/** So many copies are drawn over each other, each so faint that they are darkest where most of them are cut. */
const [OVER, FAINT] = [200, 0.05];

/** How much the print fades beneath the cuts. */
const PALE = 0.55;

/** The print as it is meant, and where each copy is cut and folded. */
export function drawAll(context: Context, parts: PileParts, copies: readonly Copy[]): void {
  const { at, art, bleed, knife, white } = parts;
  const shown = copies.slice(0, OVER);
  context.save();
  context.translate(at.x(0), at.y(0));
  context.scale(at.scale, at.scale);
  context.fillStyle = white;
  context.fillRect(bleed.x, bleed.y, bleed.width, bleed.height);
  context.drawImage(art, bleed.x, bleed.y, bleed.width, bleed.height);
  // Paler, so that the cuts stand out on whatever is printed.
  context.globalAlpha = PALE;
  context.fillRect(bleed.x, bleed.y, bleed.width, bleed.height);
  context.lineWidth = 1.25 / at.scale;
  context.strokeStyle = knife;
  context.globalAlpha = FAINT;
  for (const copy of shown) {
    context.stroke(cutOf(parts, copy));
    for (const [from, to] of foldsOf(parts, copy)) {
      context.beginPath();
      context.moveTo(from.x, from.y);
      context.lineTo(to.x, to.y);
      context.stroke();
    }
  }
  context.restore();
}
