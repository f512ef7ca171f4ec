import { extentOf, type Guide } from '../element';
import { boxName, boxRect, type GuideLine, type SurfaceBoxes } from './boxes';
import { spanX, spanY } from './tracks';

/** Where a guide lies; one that parts its box lies at every inner part. */
export function guideLines(guide: Guide, boxes: SurfaceBoxes): readonly GuideLine[] {
  const { id, axis, at } = guide;
  const box = boxRect(guide.in, boxes);
  const span = axis === 'x' ? spanX(box) : spanY(box);
  const name = boxName(guide.in, boxes);
  const line = (share: number, words: string): GuideLine => ({ id, axis, at: span.start + share, name: words });
  switch (at.how) {
    case 'from-start':
      return [line(extentOf(at.distance, boxes.measures), `guide in ${name}`)];
    case 'from-end':
      return [line(span.size - extentOf(at.distance, boxes.measures), `guide in ${name}`)];
    case 'centre':
      return [line(span.size / 2, `guide at the centre of ${name}`)];
    case 'parts':
      return Array.from({ length: at.parts - 1 }, (_, i) =>
        line((span.size * (i + 1)) / at.parts, `${i + 1}/${at.parts} of ${name}`),
      );
  }
}
