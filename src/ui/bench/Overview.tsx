import type { PointerEvent } from 'react';
import type { Rect } from '@/core/layout';
import { COLOURS } from '../shell/theme';
import { useBenchView } from '../view/bench-view';
import type { Scene } from './scene';

/** The longer side of the picture, and its distance from the corner, px. */
const [LONGEST, CORNER] = [132, 12];

/** Things beyond so many are not drawn: it is a map, and not a picture. */
const MOST = 300;

/** The whole side, small, while only a part of it is seen: what is seen is framed, and a press goes elsewhere. */
export function Overview({ scene: { desk, at, home } }: { readonly scene: Scene }) {
  const { width, height, look } = useBenchView();
  const { boxes, frames } = desk.drawing;
  const seen: Rect = {
    x: -at.x(0) / at.scale,
    y: -at.y(0) / at.scale,
    width: width / at.scale,
    height: height / at.scale,
  };
  const isWhole =
    seen.x <= home.x &&
    seen.y <= home.y &&
    seen.x + seen.width >= home.x + home.width &&
    seen.y + seen.height >= home.y + home.height;
  if (isWhole || width === 0) return null;
  const scale = LONGEST / Math.max(home.width, home.height);
  const go = (event: PointerEvent<SVGSVGElement>) => {
    if (event.buttons !== 1) return;
    const box = event.currentTarget.getBoundingClientRect();
    const x = home.x + (event.clientX - box.left) / scale;
    const y = home.y + (event.clientY - box.top) / scale;
    look({ scale: at.scale, x: width / 2 - x * at.scale, y: height / 2 - y * at.scale });
  };
  const drawn = (rect: Rect) => ({
    x: (rect.x - home.x) * scale,
    y: (rect.y - home.y) * scale,
    width: rect.width * scale,
    height: rect.height * scale,
  });
  return (
    <svg
      role="img"
      aria-label="The whole side, and what is seen of it"
      data-on="paper"
      data-overview
      width={home.width * scale}
      height={home.height * scale}
      onPointerDown={go}
      onPointerMove={go}
      style={{
        position: 'absolute',
        right: CORNER,
        bottom: CORNER,
        background: COLOURS.paper,
        boxShadow: '0 1px 5px rgb(27 35 52 / 0.4)',
        cursor: 'crosshair',
        touchAction: 'none',
      }}
    >
      {frames.slice(0, MOST).map((frame) => (
        <rect key={frame.element} {...drawn(frame.rect)} fill={COLOURS.inkSoft} fillOpacity={0.18} />
      ))}
      <rect {...drawn(boxes.trim)} fill="none" stroke={COLOURS.ink} strokeWidth={0.75} />
      <rect {...drawn(seen)} fill={COLOURS.sheet} fillOpacity={0.35} stroke={COLOURS.ink} strokeWidth={1.5} />
    </svg>
  );
}
