import { cutLine, placeMatrix, printable } from '@/core/impose';
import type { ImposedFace, ImposedSheet, ImposedSide } from '@/core/job';
import { grow, multiply, translation, type Rect } from '@/core/layout';

/** A side drawn once, and what of it the picture shows, mm. */
export interface SideArt {
  readonly canvas: CanvasImageSource;
  readonly bleed: Rect;
  readonly trim: Rect;
}

export interface SheetParts {
  readonly sheet: ImposedSheet;
  readonly face: ImposedFace;
  readonly art: (side: ImposedSide) => SideArt | undefined;
  readonly white: string;
  readonly ink: string;
  readonly soft: string;
  readonly knife: string;
  /** The cut that is pointed at. */
  readonly cut: number | undefined;
}

/** Where a sheet lies in a room, px to the mm and from its corner. */
export interface SheetPlace {
  readonly scale: number;
  readonly x: number;
  readonly y: number;
}

/** Room that is left around a sheet, px. */
const AROUND = 40;

export function placeIn(
  { width, height }: { readonly width: number; readonly height: number },
  size: { readonly width: number; readonly height: number },
): SheetPlace {
  const scale = Math.max(0.01, Math.min((width - 2 * AROUND) / size.width, (height - 2 * AROUND) / size.height));
  return { scale, x: (width - size.width * scale) / 2, y: (height - size.height * scale) / 2 };
}

type Context = CanvasRenderingContext2D;

/** A sheet of the press: its paper, what cannot be printed, the pieces on it, and where it is cut or folded. */
export function drawSheet(context: Context, parts: SheetParts, place: SheetPlace): void {
  const { sheet, face, white } = parts;
  context.save();
  context.translate(place.x, place.y);
  context.scale(place.scale, place.scale);
  context.fillStyle = white;
  context.fillRect(0, 0, sheet.size.width, sheet.size.height);
  drawRim(context, parts, place.scale);
  for (const side of face.sides) {
    const art = parts.art(side);
    const seen = grow(side.trim, side.bleed);
    context.save();
    context.beginPath();
    context.rect(seen.x, seen.y, seen.width, seen.height);
    context.clip();
    if (art) {
      const [a, b, c, d, e, f] = multiply(placeMatrix(side), translation(side.shift - art.trim.x, -art.trim.y));
      context.transform(a, b, c, d, e, f);
      context.drawImage(art.canvas, art.bleed.x, art.bleed.y, art.bleed.width, art.bleed.height);
    }
    context.restore();
    context.lineWidth = 0.75 / place.scale;
    context.strokeStyle = parts.ink;
    context.strokeRect(side.trim.x, side.trim.y, side.trim.width, side.trim.height);
  }
  drawCreases(context, parts, place.scale);
  drawCut(context, parts, place.scale);
  context.restore();
}

/** What the grippers hold and what stays white, told by its hatching. */
function drawRim(context: Context, { sheet, soft }: SheetParts, scale: number): void {
  const { x, y, width, height } = printable(sheet.room, sheet.work);
  const { width: wide, height: high } = sheet.size;
  context.save();
  context.beginPath();
  context.rect(0, 0, wide, high);
  context.rect(x, y, width, height);
  context.clip('evenodd');
  context.strokeStyle = soft;
  context.lineWidth = 0.75 / scale;
  context.beginPath();
  const step = 6 / scale;
  for (let at = -high; at < wide; at += step) {
    context.moveTo(at, high);
    context.lineTo(at + high, 0);
  }
  context.stroke();
  context.restore();
}

function drawCreases(context: Context, { sheet, face, ink }: SheetParts, scale: number): void {
  const { signature, size } = sheet;
  if (!signature) return;
  const { creases } = signature;
  context.save();
  context.setLineDash([5 / scale, 4 / scale]);
  context.lineWidth = 1.5 / scale;
  context.strokeStyle = ink;
  context.beginPath();
  for (const at of creases.x) {
    const x = face.name === 'inner' ? size.width - at : at;
    context.moveTo(x, 0);
    context.lineTo(x, size.height);
  }
  for (const y of creases.y) {
    context.moveTo(0, y);
    context.lineTo(size.width, y);
  }
  context.stroke();
  context.restore();
}

/** The cut that is pointed at: the pile beneath the knife, and where it falls. */
function drawCut(context: Context, { sheet, cut, knife }: SheetParts, scale: number): void {
  const cuts = sheet.cutting?.programme.cuts ?? [];
  const at = cuts[cut ?? -1];
  if (!at) return;
  const [from, to] = cutLine(at);
  context.save();
  context.strokeStyle = knife;
  context.lineWidth = 3 / scale;
  context.strokeRect(at.lies.x, at.lies.y, at.lies.width, at.lies.height);
  context.lineWidth = 2 / scale;
  context.setLineDash([8 / scale, 4 / scale]);
  context.beginPath();
  context.moveTo(from.x, from.y);
  context.lineTo(to.x, to.y);
  context.stroke();
  context.restore();
}
