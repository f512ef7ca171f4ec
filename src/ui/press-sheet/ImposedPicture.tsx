'use client';
import { useEffect, useRef, useState } from 'react';
import { useDesk } from '../open-job/use-desk';
import { usePainting } from '../open-job/painting';
import { COLOURS, FAULT, INK } from '../shell/theme';
import { sideCanvas } from '../view/side-canvas';
import { useSheetView } from '../view/sheet-view';
import { drawSheet, placeIn, type SideArt } from './draw-sheet';
import { useImposed, useShownSheet } from './use-imposed';

/** Longest side of the picture of a side, px; of many sides each is smaller. */
const PIXELS = 900;
const SMALL = 420;
/** From so many sides on their pictures are small. */
const MANY = 8;

interface Props {
  readonly room: { readonly width: number; readonly height: number };
}

/** A sheet of the press in the place of the piece. Each side is drawn once and set down wherever it lies. */
export function ImposedPicture({ room }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const made = useImposed();
  const shown = useShownSheet(made);
  const cut = useSheetView((v) => v.cut);
  const { job } = useDesk();
  const art = useSides(shown ? [...new Set(shown.face.sides.map(({ surface }) => surface))] : []);
  const ratio = typeof devicePixelRatio === 'number' ? devicePixelRatio : 1;
  const white = job.stock.white ?? '#ffffff';
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !shown) return;
    const frame = requestAnimationFrame(() => {
      context.setTransform(ratio, 0, 0, ratio, 0, 0);
      context.clearRect(0, 0, room.width, room.height);
      const { sheet, face } = shown;
      const parts = { sheet, face, art: (name: string) => art.get(name), white, cut };
      const place = placeIn(room, sheet.size);
      drawSheet(context, { ...parts, ink: INK, soft: COLOURS.line, knife: FAULT }, place);
    });
    return () => cancelAnimationFrame(frame);
  });
  const words = shown ? `${shown.sheet.name}, ${shown.face.name}: ${shown.face.sides.length} on a sheet` : '';
  return (
    <canvas
      ref={canvas}
      data-press-sheet={shown?.face.name}
      data-drawn={art.size}
      aria-label={words}
      role="img"
      width={Math.round(room.width * ratio)}
      height={Math.round(room.height * ratio)}
      style={{ position: 'absolute', inset: 0, width: room.width, height: room.height, pointerEvents: 'none' }}
    />
  );
}

/** Sides out to their bleed, each drawn when it is first shown. */
function useSides(names: readonly string[]): ReadonlyMap<string, SideArt> {
  const { blank, resources, rules, drawingOf } = useDesk();
  const context = usePainting(resources, rules.conversion);
  const [made, setMade] = useState<ReadonlyMap<string, SideArt>>(new Map());
  const key = names.join('\n');
  useEffect(() => {
    const gone = new AbortController();
    void (async () => {
      const found = new Map<string, SideArt>();
      const wanted = key.split('\n').filter((name) => name !== '');
      for (const name of wanted) {
        const surface = blank.surfaces.find((s) => s.name === name);
        if (!surface) continue;
        const { bleed, trim } = surface.boxes;
        const pixels = wanted.length > MANY ? SMALL : PIXELS;
        const picture = await sideCanvas({ surface, drawing: drawingOf(name), context, box: bleed, pixels });
        if (gone.signal.aborted) return;
        if (picture) found.set(name, { canvas: picture, bleed, trim });
        setMade(new Map(found));
      }
    })();
    return () => gone.abort();
  }, [key, blank, drawingOf, context]);
  return made;
}
