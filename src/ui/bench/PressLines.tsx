import { useMemo } from 'react';
import type { Item } from '@/core/drawing';
import { finishLayers, finishesOn } from '@/core/marks';
import type { SurfaceBoxes } from '@/core/layout';
import type { SvgContext } from '@/paint/svg';
import { useDesk } from '../open-job/use-desk';
import { COLOURS } from '../shell/theme';
import { Items } from '../view/Artwork';
import { project } from '../view/bench-view';
import type { Projection } from '../view/bench-view';

/** Thinnest that a line is shown, px. */
const LEAST = 1;

/** Coatings, seen through, and process lines, as the press file has them, in the colours that show their plates. */
export function FinishShapes({ at, context }: { readonly at: Projection; readonly context: SvgContext }) {
  const { piece, surface, drawing, rules } = useDesk();
  const items = useMemo(
    () => finishLayers(finishesOn(piece, surface, drawing), rules).flatMap((layer) => layer.items),
    [piece, surface, drawing, rules],
  );
  const shown = useMemo(() => items.map((item) => asSeen(item, LEAST / at.scale)), [items, at.scale]);
  return (
    <g aria-hidden pointerEvents="none" transform={`translate(${at.x(0)} ${at.y(0)}) scale(${at.scale})`}>
      <Items items={shown} context={context} />
    </g>
  );
}

/** What is only there to be followed, seen through: it is not printed. */
export function Unprinted({ at, context }: { readonly at: Projection; readonly context: SvgContext }) {
  const { drawing } = useDesk();
  const items = useMemo(() => drawing.frames.flatMap((frame) => frame.unprinted ?? []), [drawing]);
  if (items.length === 0) return null;
  return (
    <g aria-hidden pointerEvents="none" opacity="0.4" transform={`translate(${at.x(0)} ${at.y(0)}) scale(${at.scale})`}>
      <Items items={items} context={context} />
    </g>
  );
}

function asSeen(item: Item, least: number): Item {
  if (item.kind !== 'path') return item;
  const stroke = item.stroke && { ...item.stroke, width: Math.max(item.stroke.width, least) };
  return { ...item, stroke, opacity: item.fill ? 0.45 : 1 };
}

/** Trim and bleed as the press file’s page boxes. */
export function BoxOutlines({ boxes, at }: { boxes: SurfaceBoxes; at: Projection }) {
  return (
    <g aria-hidden pointerEvents="none" fill="none">
      <rect {...project(boxes.bleed, at)} stroke={COLOURS.fold} strokeWidth="1" strokeDasharray="6 4" />
      <rect {...project(boxes.trim, at)} stroke={COLOURS.ink} strokeWidth="1" />
    </g>
  );
}
