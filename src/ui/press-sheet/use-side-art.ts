'use client';
import { useEffect, useState } from 'react';
import { usePainting } from '../open-job/painting';
import { useDesk } from '../open-job/use-desk';
import { sideCanvas } from '../view/side-canvas';
import type { SideArt } from './draw-sheet';

/** Longest side of the picture of a side, px; of many sides each is smaller. */
const PIXELS = 900;
const SMALL = 420;
/** From so many sides on their pictures are small. */
const MANY = 8;

/** @param sides how many are shown at once */
export const pixelsFor = (sides: number): number => (sides > MANY ? SMALL : PIXELS);

/** Sides out to their bleed, each drawn when it is first shown. */
export function useSideArt(names: readonly string[]): ReadonlyMap<string, SideArt> {
  const { blank, resources, rules, drawingOf } = useDesk();
  const context = usePainting(resources, rules.conversion);
  const [made, setMade] = useState<ReadonlyMap<string, SideArt>>(new Map());
  const key = [...new Set(names)].join('\n');
  useEffect(() => {
    const gone = new AbortController();
    void (async () => {
      const found = new Map<string, SideArt>();
      const wanted = key.split('\n').filter((name) => name !== '');
      for (const name of wanted) {
        const surface = blank.surfaces.find((s) => s.name === name);
        if (!surface) continue;
        const { bleed, trim } = surface.boxes;
        const pixels = pixelsFor(wanted.length);
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
