import { memo, useId } from 'react';
import type { Drawing, Item } from '@/core/drawing';
import type { Vision } from '@/core/eyes';
import type { Rect } from '@/core/layout';
import type { SvgContext } from '@/paint/svg';
import { COLOURS } from '../shell/theme';
import { Items } from '../view/Artwork';
import { EyesFilter } from '../view/EyesFilter';
import { project } from '../view/bench-view';
import type { Projection } from '../view/bench-view';

interface Props {
  readonly drawing: Drawing;
  readonly context: SvgContext;
  readonly at: Projection;
  /** What of the sheet is shown, and where its shadow falls. */
  readonly shown: Rect;
  readonly lies: Rect;
  readonly white: string;
  /** Marks of the press. */
  readonly marks: readonly Item[] | undefined;
  /** Whose eyes look at it, and from how far; left out, as the screen shows it. */
  readonly eyes?: { readonly distance: number; readonly vision: Vision } | undefined;
}

/**
 * The paper and what is printed on it. A picture of its own for the screen, so that handles and lines that move above
 * it do not have it painted again.
 */
export const Paper = memo(function Paper({ drawing, context, at, shown, lies, white, marks, eyes }: Props) {
  const paper = project(shown, at);
  // On the sheet of the press artwork ends where the bleed ends, as in its file; the room beyond is for marks.
  const inked = marks ? project(drawing.boxes.bleed, at) : paper;
  const map = `translate(${at.x(0)} ${at.y(0)}) scale(${at.scale})`;
  const clip = `paper-${useId().replace(/\W/g, '')}`;
  return (
    <svg
      width="100%"
      height="100%"
      aria-hidden
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none', willChange: 'transform' }}
    >
      <defs>
        <clipPath id={clip}>
          <rect {...inked} />
        </clipPath>
        {eyes && <EyesFilter id={`${clip}-eyes`} {...eyes} scale={at.scale} />}
      </defs>
      <Shadow of={project(lies, at)} />
      <g filter={eyes && `url(#${clip}-eyes)`} clipPath={eyes && `url(#${clip})`}>
        <rect {...paper} fill={white} />
        <g clipPath={`url(#${clip})`}>
          <g transform={map}>
            {drawing.repeated.length > 0 && <Items items={drawing.repeated} context={context} />}
            {drawing.frames.map((frame) => (
              <Items key={frame.element} id={frame.element} items={frame.items} context={context} />
            ))}
            {drawing.reserved.length > 0 && <Items items={drawing.reserved} context={context} />}
          </g>
        </g>
      </g>
      {marks && (
        <g transform={map}>
          <Items items={marks} context={context} />
        </g>
      )}
    </svg>
  );
});

/** The paper’s shadow, from plain rectangles: a filter would be worked out again at every step of a drag. */
function Shadow({ of: r }: { readonly of: Rect }) {
  return (
    <g aria-hidden fill={COLOURS.ink} fillOpacity="0.07">
      {[1, 3, 5].map((d) => (
        <rect key={d} x={r.x - d / 2} y={r.y + d / 2} width={r.width + d} height={r.height + d} rx={d} />
      ))}
    </g>
  );
}
