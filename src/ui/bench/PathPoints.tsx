'use client';
import { useEffect, useState, type MouseEvent, type PointerEvent } from 'react';
import { elementsOn } from '@/core/job';
import { apply, inverse, pose, type Path, type Point } from '@/core/layout';
import { pathData } from '@/paint/svg';
import { useJob, useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import {
  handlesOf,
  insertPoint,
  movePoint,
  nearestOn,
  removePoint,
  switchCurve,
  withElements,
  withPath,
  type PathHandle,
} from '@/core/edit';
import { COLOURS } from '../shell/theme';
import type { Projection } from '../view/bench-view';
import { readPathData, stretched } from '@/core/element';

interface Props {
  readonly id: string;
  readonly at: Projection;
  readonly toMm: (event: { clientX: number; clientY: number }) => Point;
}

/**
 * The points and handles of a path, to be dragged. A double click on the line adds a point, Delete takes the chosen
 * one out, K bends or straightens the step that ends in it, Escape is done.
 */
export function PathPoints({ id, at, toMm }: Props) {
  const { piece, drawing } = useDesk();
  const store = useJobStore();
  const side = useJob((s) => s.side);
  const [chosen, setChosen] = useState<PathHandle>();
  const [dragged, setDragged] = useState<{ readonly handle: PathHandle; readonly path: Path }>();
  const element = elementsOn(piece, side).find((e) => e.id === id);
  const rect = drawing.boxes.placed[id];
  const read =
    element?.kind === 'shape' && element.shape.form === 'path' ? readPathData(element.shape.data) : undefined;
  const whole = read?.ok && rect ? stretched(read.path, rect) : undefined;

  const take = (path: Path) =>
    store
      .getState()
      .change('Edit points', (now) =>
        withElements(now, side, (e) => (e.id === id ? withPath(e, path, drawing.boxes) : e)),
      );
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (event.target instanceof HTMLInputElement) return;
      const stop = () => {
        event.preventDefault();
        event.stopPropagation();
      };
      if (event.key === 'Escape') {
        stop();
        return store.getState().editPath(undefined);
      }
      if (!chosen || !whole) return;
      if (event.key === 'Delete' || event.key === 'Backspace') {
        stop();
        take(removePoint(whole, chosen));
        setChosen(undefined);
      }
      if (event.key.toLowerCase() === 'k' && !event.ctrlKey) {
        stop();
        take(switchCurve(whole, chosen));
      }
    };
    window.addEventListener('keydown', keys, true);
    return () => window.removeEventListener('keydown', keys, true);
  });
  if (!element || !rect || !whole) return null;
  const path = dragged?.path ?? whole;
  const turn = pose(rect, element.placement.rotate, element.placement.shear);
  const screen = (p: Point): Point => {
    const q = apply(turn, p);
    return { x: at.x(q.x), y: at.y(q.y) };
  };
  const inside = (event: { clientX: number; clientY: number }) => apply(inverse(turn), toMm(event));
  const handles = handlesOf(path);
  const down = (handle: PathHandle) => (event: PointerEvent) => {
    event.stopPropagation();
    setChosen(handle);
    setDragged({ handle, path: whole });
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const move = (event: PointerEvent) => {
    if (dragged) setDragged({ ...dragged, path: movePoint(whole, dragged.handle, inside(event)) });
  };
  const up = () => {
    if (dragged && dragged.path !== whole) take(dragged.path);
    setDragged(undefined);
  };
  const add = (event: MouseEvent) => {
    event.stopPropagation();
    const near = nearestOn(whole, inside(event));
    if (near) take(insertPoint(whole, near.step, near.t));
  };
  const line = pathData(path, (s) => mapped(s, screen));
  const ends = new Map(handles.filter((h) => h.part === 'end').map((h) => [h.step, h.at]));
  return (
    <g data-path-points>
      <path
        d={line}
        fill="none"
        stroke="transparent"
        strokeWidth="10"
        onDoubleClick={add}
        onPointerDown={(e) => e.stopPropagation()}
      />
      <path d={line} fill="none" stroke={COLOURS.accent} strokeWidth="1.4" pointerEvents="none" />
      {handles.map((h) => {
        const p = screen(h.at);
        const anchor = h.part === 'end' ? undefined : ends.get(h.part === 'first' ? h.step - 1 : h.step);
        const from = anchor && screen(anchor);
        const isChosen = chosen?.step === h.step && chosen.part === h.part;
        return (
          <g key={`${h.step}${h.part}`}>
            {from && (
              <line
                x1={from.x}
                y1={from.y}
                x2={p.x}
                y2={p.y}
                stroke={COLOURS.accent}
                strokeWidth="1"
                pointerEvents="none"
              />
            )}
            {h.part === 'end' ? (
              <rect
                data-point={h.step}
                x={p.x - 5}
                y={p.y - 5}
                width="10"
                height="10"
                fill={isChosen ? COLOURS.accent : '#ffffff'}
                stroke={COLOURS.accent}
                strokeWidth="1.6"
                style={{ cursor: 'move' }}
                onPointerDown={down(h)}
                onPointerMove={move}
                onPointerUp={up}
              />
            ) : (
              <circle
                data-handle-point={`${h.step}-${h.part}`}
                cx={p.x}
                cy={p.y}
                r="5"
                fill={isChosen ? COLOURS.accent : '#ffffff'}
                stroke={COLOURS.accent}
                strokeWidth="1.6"
                style={{ cursor: 'move' }}
                onPointerDown={down(h)}
                onPointerMove={move}
                onPointerUp={up}
              />
            )}
          </g>
        );
      })}
    </g>
  );
}

type Step = Path[number];

function mapped(s: Step, to: (p: Point) => Point): Step {
  switch (s[0]) {
    case 'M':
    case 'L': {
      const p = to({ x: s[1], y: s[2] });
      return [s[0], p.x, p.y];
    }
    case 'C': {
      const [a, b, e] = [to({ x: s[1], y: s[2] }), to({ x: s[3], y: s[4] }), to({ x: s[5], y: s[6] })];
      return ['C', a.x, a.y, b.x, b.y, e.x, e.y];
    }
    case 'Z':
      return s;
  }
}
