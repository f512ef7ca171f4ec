'use client';
import { useEffect, useRef, useState } from 'react';
import type { Build } from '@/core/colour';
import { useDesk } from '../open-job/use-desk';
import { usePainting } from '../open-job/painting';
import { FAULT, INK } from '../shell/theme';
import type { Projection } from '../view/bench-view';
import { usePileView } from '../view/pile-view';
import { sideCanvas } from '../view/side-canvas';
import { drawAll, drawCopy, drawFan, drawMeant, type PileParts } from './draw-pile';
import { usePile } from './use-pile';

/** Longest side of the print that copies are cut from, pixels. */
const PIXELS = 2400;

/** So many copies lie fanned out, from the top of the pile to its foot. */
const FANNED = 9;

interface Props {
  readonly at: Projection;
  readonly room: { readonly width: number; readonly height: number };
}

/** Copies in the place of the artwork. The side is drawn once; each copy is that picture, shifted, turned and cut. */
export function PilePicture({ at, room }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const art = useArt();
  const pile = usePile();
  const { surface, drawing, job, rules } = useDesk();
  const mode = usePileView((v) => v.mode);
  const copy = usePileView((v) => v.copy);
  const ratio = typeof devicePixelRatio === 'number' ? devicePixelRatio : 1;
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !art || !pile) return;
    const parts: PileParts = {
      side: pile.side,
      art,
      bleed: surface.boxes.bleed,
      outline: surface.outline,
      folds: pile.side.folds,
      passes: drawing.coats.map(({ path, coating }) => ({
        path,
        colour: coating === 'white' ? undefined : shown(rules.coatings[coating].shown),
      })),
      white: job.stock.white ?? '#ffffff',
      ink: INK,
      knife: FAULT,
      at,
    };
    const frame = requestAnimationFrame(() => {
      context.setTransform(ratio, 0, 0, ratio, 0, 0);
      context.clearRect(0, 0, room.width, room.height);
      const one = pile.copies[copy];
      switch (mode) {
        case 'one':
          if (one) drawCopy(context, parts, one);
          drawMeant(context, parts);
          return;
        case 'fan':
          drawFan(context, parts, pile.copies, fanned(pile.copies.length));
          return;
        case 'all':
          drawAll(context, parts, pile.copies);
          return;
        case 'none':
      }
    });
    return () => cancelAnimationFrame(frame);
  }, [art, pile, at, mode, copy, room.width, room.height, ratio, surface, drawing, job.stock.white, rules]);

  return (
    <canvas
      ref={canvas}
      data-pile={mode}
      data-copy={copy}
      aria-label={art ? `Copies of the ${surface.name}, as the machines make them` : 'The copies are being printed'}
      role="img"
      width={Math.round(room.width * ratio)}
      height={Math.round(room.height * ratio)}
      style={{ position: 'absolute', inset: 0, width: room.width, height: room.height, pointerEvents: 'none' }}
    />
  );
}

/** The side out to its bleed, drawn once. */
function useArt(): HTMLCanvasElement | undefined {
  const { surface, drawing, resources, rules } = useDesk();
  const context = usePainting(resources, rules.conversion);
  const [made, setMade] = useState<HTMLCanvasElement>();
  useEffect(() => {
    let isCurrent = true;
    void sideCanvas({ surface, drawing, context, box: surface.boxes.bleed, pixels: PIXELS }).then((canvas) => {
      if (isCurrent && canvas) setMade(canvas);
    });
    return () => {
      isCurrent = false;
    };
  }, [surface, drawing, context]);
  return made;
}

/** The colour that shows a build; only its hue matters here. */
function shown({ c, m, y, k }: Build): string {
  const channel = (ink: number) => Math.round(255 * (1 - ink / 100) * (1 - k / 100));
  return `rgb(${channel(c)}, ${channel(m)}, ${channel(y)})`;
}

const fanned = (copies: number): readonly number[] =>
  Array.from({ length: FANNED }, (_, i) => Math.round((i / (FANNED - 1)) * (copies - 1)));
