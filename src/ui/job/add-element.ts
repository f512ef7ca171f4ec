import type { Element, ElementKind, Job, PictureAsset, SideName } from '@/core/job';
import { BLACK, elementsOn } from '@/core/job';
import { placed, type Point, type Rect, type SurfaceBoxes } from '@/core/layout';
import { naturalSize } from '@/core/compose';
import { pieceOf } from './store';

/** A short id that no element of the job has. */
export const freshId = (): string => crypto.randomUUID().slice(0, 12);

const centredOn = (point: Point, width: number, height: number): Rect => ({
  x: point.x - width / 2,
  y: point.y - height / 2,
  width,
  height,
});

/** A new element of a kind, plain, about as large as a hand would draw it. */
export function newElement(kind: ElementKind, boxes: SurfaceBoxes, at?: Point): Element {
  const { safe } = boxes;
  const middle = at ?? { x: safe.x + safe.width / 2, y: safe.y + safe.height / 3 };
  const size = Math.min(safe.width, safe.height) / 3;
  const common = { id: freshId(), name: '', opacity: 1 };
  const place = (width: number, height: number) => placed(centredOn(middle, width, height), { box: 'safe' }, boxes);
  switch (kind) {
    case 'rectangle':
      return { kind, ...common, placement: place(size, size), atTrim: 'bleeds', fill: { kind: 'process', c: 0, m: 0, y: 0, k: 20 }, stroke: null, radius: 0 };
    case 'ellipse':
      return { kind, ...common, placement: place(size, size), fill: { kind: 'process', c: 0, m: 0, y: 0, k: 20 }, stroke: null };
    case 'line':
      return { kind, ...common, placement: place(size * 1.5, 0), slope: 'down', stroke: { paint: BLACK, widthPt: 0.5, dash: 'solid' } };
    case 'picture':
      return { kind, ...common, placement: place(size * 1.5, size), atTrim: 'bleeds', picture: null, fit: { mode: 'fill' }, focus: { x: 0.5, y: 0.5 } };
    case 'text':
      return {
        kind,
        ...common,
        placement: { against: { box: 'safe' }, x: { start: 0, end: 0 }, y: { start: Math.max(0, middle.y - safe.y - 6), size: 12 }, rotate: 0 },
        text: '',
        style: { family: 'Source Sans 3', weight: 400, italic: false, sizePt: 12, leadingPt: null, tracking: 0, case: 'typed', paint: BLACK, align: 'left', hyphenate: false },
        vertical: 'top',
        inset: { top: 0, right: 0, bottom: 0, left: 0 },
        language: null,
      };
  }
} // prettier-ignore

/** A frame for a picture: the first picture on an empty side fills it to the bleed, others come at their size or less. */
export function pictureFrame(
  sha: string,
  asset: PictureAsset,
  boxes: SurfaceBoxes,
  isFirst: boolean,
  ppi: number,
  at?: Point,
): Element {
  const frame = newElement('picture', boxes, at);
  if (frame.kind !== 'picture') return frame;
  const own = { ...frame, picture: sha, name: asset.name.replace(/\.\w+$/, '') };
  if (isFirst) {
    const whole = { start: 0, end: 0 };
    return { ...own, placement: { against: { box: 'trim' }, x: whole, y: whole, rotate: 0 } };
  }
  const natural = naturalSize(asset, ppi);
  const share = Math.min(1, (boxes.safe.width * 0.6) / natural.width, (boxes.safe.height * 0.6) / natural.height);
  const middle = at ?? { x: boxes.safe.x + boxes.safe.width / 2, y: boxes.safe.y + boxes.safe.height / 2 };
  const rect = centredOn(middle, natural.width * share, natural.height * share);
  return { ...own, placement: placed(rect, { box: 'safe' }, boxes) };
}

/** Copies of elements, a little further down, with ids of their own. */
export function duplicates(
  job: Job,
  side: SideName,
  ids: readonly string[],
  boxes: SurfaceBoxes,
  rects: ReadonlyMap<string, Rect>,
): readonly Element[] {
  return elementsOn(pieceOf(job), side)
    .filter((e) => ids.includes(e.id))
    .map((e): Element => {
      const rect = rects.get(e.id) ?? { x: 0, y: 0, width: 10, height: 10 };
      const moved = { ...rect, x: rect.x + 5, y: rect.y + 5 };
      return {
        ...e,
        id: freshId(),
        placement: { ...placed(moved, e.placement.against, boxes), rotate: e.placement.rotate },
      };
    });
}
