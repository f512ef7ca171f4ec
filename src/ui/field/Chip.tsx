'use client';
import { shownBuild, writeHex } from '@/core/colour';
import { solidInk, type PaintBook } from '@/core/compose';
import { BLACK, type Paint, type SolidPaint } from '@/core/job';
import { COLOURS } from '../shell/theme';

/** The one colour that stands for a paint; of a gradient its first. */
export const solidOf = (paint: Paint): SolidPaint =>
  paint.kind === 'gradient' ? (paint.stops[0]?.paint ?? BLACK) : paint;

export const buildOf = (paint: Paint, colour: PaintBook) => shownBuild(solidInk(solidOf(paint), colour));

/** A small field of a paint as this paper will show it. */
export function Chip({
  paint,
  colour,
  size = 18,
}: {
  readonly paint: Paint | null;
  readonly colour: PaintBook;
  readonly size?: number;
}) {
  const fill = paint ? writeHex(colour.toRgb(buildOf(paint, colour))) : '#ffffff';
  const last = paint?.kind === 'gradient' ? paint.stops.at(-1)?.paint : undefined;
  return (
    <svg width={size} height={size} aria-hidden>
      <rect x="0.5" y="0.5" width={size - 1} height={size - 1} fill={fill} stroke={COLOURS.inkSoft} />
      {last && <path d={`M${size - 1} 1V${size - 1}H1Z`} fill={writeHex(colour.toRgb(buildOf(last, colour)))} />}
      {!paint && <path d={`M1 ${size - 1}L${size - 1} 1`} stroke={COLOURS.fault} strokeWidth="1.5" />}
      {paint?.kind === 'paper' && (
        <path d={`M${size - 6} ${size - 0.5}V${size - 6}H${size - 0.5}`} fill="none" stroke={COLOURS.inkSoft} />
      )}
    </svg>
  );
}
