'use client';
import { useEffect } from 'react';
import type { Job, SideName } from '@/core/job';
import { usePainting } from '../open-job/painting';
import { useDeskOf, type Desk } from '../open-job/use-desk';
import { sideCanvas } from '../view/side-canvas';
import type { SideArt } from './draw-sheet';

interface Props {
  readonly job: Job;
  readonly side: SideName;
  /** The record that fills it, from 0. */
  readonly record: number | undefined;
  readonly pixels: number;
  readonly onArt: (art: SideArt) => void;
}

/** Draws a side that lies on a sheet with others, and shows nothing itself. */
export function ArticleArt({ job, side, record, ...rest }: Props) {
  const { desk } = useDeskOf(job, side, { record: record ?? 0 });
  // Before the side that is asked for is drawn, another one may be.
  return desk?.surface.name === side ? <Drawn desk={desk} {...rest} /> : null;
}

function Drawn({ desk, pixels, onArt }: Pick<Props, 'pixels' | 'onArt'> & { readonly desk: Desk }) {
  const { surface, drawing, resources, rules } = desk;
  const context = usePainting(resources, rules.conversion);
  useEffect(() => {
    let isCurrent = true;
    const { bleed, trim } = surface.boxes;
    void sideCanvas({ surface, drawing, context, box: bleed, pixels }).then((canvas) => {
      if (isCurrent && canvas) onArt({ canvas, bleed, trim });
    });
    return () => {
      isCurrent = false;
    };
  }, [surface, drawing, context, pixels, onArt]);
  return null;
}
