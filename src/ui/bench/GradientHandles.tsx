'use client';
import { useState, type PointerEvent } from 'react';
import { runOf } from '@/core/compose';
import { elementsOn, type Job, type Gradient } from '@/core/job';
import { apply, inverse, pose, type Point } from '@/core/layout';
import { useJob, useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { withElements } from '@/core/edit';
import { COLOURS } from '../shell/theme';
import type { Projection } from '../view/bench-view';

type Grip = 'centre' | 'end';

/** Where a gradient runs, its middle and its end to be dragged: angle and length follow the end. */
export function GradientHandles({
  id,
  at,
  toMm,
}: {
  readonly id: string;
  readonly at: Projection;
  readonly toMm: (event: { clientX: number; clientY: number }) => Point;
}) {
  const { piece, drawing } = useDesk();
  const store = useJobStore();
  const side = useJob((s) => s.side);
  const [grip, setGrip] = useState<Grip>();
  const element = elementsOn(piece, side).find((e) => e.id === id);
  const rect = drawing.boxes.placed[id];
  if (element?.kind !== 'shape' || element.fill?.kind !== 'gradient' || !rect || rect.width <= 0 || rect.height <= 0)
    return null;
  const { fill } = element;
  const turn = pose(rect, element.placement.rotate, element.placement.shear);
  const run = runOf(fill, rect);
  const centre = { x: rect.x + rect.width * fill.centre.x, y: rect.y + rect.height * fill.centre.y };
  const end = run.kind === 'linear' ? run.to : { x: run.centre.x + run.radius, y: run.centre.y };
  const screen = (p: Point) => {
    const q = apply(turn, p);
    return { x: at.x(q.x), y: at.y(q.y) };
  };
  const dragged = (p: Point): Gradient => {
    if (grip === 'centre')
      return { ...fill, centre: { x: share(p.x, rect.x, rect.width), y: share(p.y, rect.y, rect.height) } };
    const [dx, dy] = [p.x - centre.x, p.y - centre.y];
    const reach = Math.hypot(dx, dy);
    if (fill.shape === 'radial')
      return { ...fill, length: percent((reach / (Math.hypot(rect.width, rect.height) / 2)) * 100) };
    const angle = Math.round((Math.atan2(dy, dx) * 180) / Math.PI);
    const turned = (angle * Math.PI) / 180;
    const half = (Math.abs(rect.width * Math.cos(turned)) + Math.abs(rect.height * Math.sin(turned))) / 2;
    return { ...fill, angle, length: percent((reach / half) * 100) };
  };
  const changed = (event: PointerEvent) => {
    const to = dragged(apply(inverse(turn), toMm(event)));
    return (now: Job) => withElements(now, side, (e) => (e.id === id && e.kind === 'shape' ? { ...e, fill: to } : e));
  };
  const handlers = (which: Grip) => ({
    onPointerDown: (event: PointerEvent) => {
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      setGrip(which);
    },
    onPointerMove: (event: PointerEvent) => {
      if (grip === which) store.getState().preview(changed(event));
    },
    onPointerUp: (event: PointerEvent) => {
      if (grip === which) store.getState().change('Gradient', changed(event));
      setGrip(undefined);
    },
  });
  const [c, e] = [screen(centre), screen(end)];
  const from = screen(run.kind === 'linear' ? run.from : centre);
  return (
    <g data-gradient-handles>
      <line
        x1={from.x}
        y1={from.y}
        x2={e.x}
        y2={e.y}
        stroke="#ffffff"
        strokeWidth="4"
        strokeOpacity="0.8"
        pointerEvents="none"
      />
      <line x1={from.x} y1={from.y} x2={e.x} y2={e.y} stroke={COLOURS.accent} strokeWidth="1.6" pointerEvents="none" />
      <rect
        data-gradient="centre"
        x={c.x - 6}
        y={c.y - 6}
        width="12"
        height="12"
        transform={`rotate(45 ${c.x} ${c.y})`}
        fill="#ffffff"
        stroke={COLOURS.accent}
        strokeWidth="1.8"
        style={{ cursor: 'move' }}
        {...handlers('centre')}
      />
      <circle
        data-gradient="end"
        cx={e.x}
        cy={e.y}
        r="7"
        fill="#ffffff"
        stroke={COLOURS.accent}
        strokeWidth="1.8"
        style={{ cursor: 'grab' }}
        {...handlers('end')}
      />
    </g>
  );
}

const share = (v: number, from: number, size: number): number =>
  Math.min(5, Math.max(-5, Math.round(((v - from) / size) * 1000) / 1000));
const percent = (v: number): number => Math.min(1000, Math.max(1, Math.round(v)));
