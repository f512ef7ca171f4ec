'use client';
import { memo, startTransition, useEffect, useRef, useState } from 'react';
import type { Drawing } from '@/core/drawing';
import { surfaceOf, type SideName } from '@/core/job';
import type { SvgContext } from '@/paint/svg';
import { Items } from '../view/Artwork';
import { useDesk } from '../open-job/use-desk';

interface Props {
  readonly side: SideName;
  readonly height: number;
  readonly context: SvgContext;
}

/** A page in the strip: drawn once it is near, so that a long book opens as fast as a short one. */
export function PageThumb({ side, height, context }: Props) {
  const { blank, piece, drawingOf, job } = useDesk();
  const host = useRef<HTMLSpanElement>(null);
  const [isNear, setNear] = useState(false);
  useEffect(() => {
    const element = host.current;
    if (!element) return;
    // The bench comes first: small pages are drawn when there is time for them.
    const observer = new IntersectionObserver(
      ([entry]) => startTransition(() => setNear(entry?.isIntersecting ?? false)),
      { rootMargin: '120px' },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const trim = surfaceOf(blank, piece, side)?.boxes.trim ?? { width: 1, height: 1 };
  const width = Math.round((height * trim.width) / trim.height);
  const drawing = isNear ? drawingOf(side) : undefined;
  return (
    <span ref={host} style={{ display: 'block', width, height, background: job.stock.white ?? '#ffffff' }} aria-hidden>
      {drawing && <Picture drawing={drawing} width={width} height={height} context={context} />}
    </span>
  );
}

const Picture = memo(function Picture({
  drawing,
  width,
  height,
  context,
}: {
  drawing: Drawing;
  width: number;
  height: number;
  context: SvgContext;
}) {
  const { trim } = drawing.boxes;
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${trim.width} ${trim.height}`}
      style={{ display: 'block', overflow: 'hidden' }}
    >
      {drawing.repeated.length > 0 && <Items items={drawing.repeated} context={context} />}
      {drawing.frames.map((frame) => (
        <Items key={frame.element} items={frame.items} context={context} />
      ))}
    </svg>
  );
});
