import { pathOf } from '@/core/marks';
import { ptToMm } from '@/core/measure';
import type { BlankSurface } from '@/core/format';
import type { SurfaceBoxes } from '@/core/layout';
import type { Rules } from '@/core/rules';
import { DASHES } from '@/core/shop';
import { lineStyle, pathData } from '@/paint/svg';
import { COLOURS } from '../shell/theme';
import { project } from './LineCode';
import type { Projection } from './view';

/** Process lines as the press file has them: their form and weight, in the colour that shows their plate. */
export function ProcessLines({
  surface,
  at,
  codes,
  weight,
}: {
  readonly surface: BlankSurface;
  readonly at: Projection;
  readonly codes: Rules['lines'];
  readonly weight: number;
}) {
  return (
    <g aria-hidden pointerEvents="none" transform={`translate(${at.x(0)} ${at.y(0)}) scale(${at.scale})`} fill="none">
      {surface.processLines.map((line, i) => (
        <path
          key={i}
          d={pathData(pathOf(line))}
          stroke={lineStyle(line.process).colour}
          strokeWidth={Math.max(ptToMm(weight), 1 / at.scale)}
          strokeDasharray={DASHES[codes[line.process].form].join(' ')}
        />
      ))}
    </g>
  );
}

/** Trim and bleed as the press file’s page boxes. */
export function BoxOutlines({ boxes, at }: { boxes: SurfaceBoxes; at: Projection }) {
  return (
    <g aria-hidden pointerEvents="none" fill="none">
      <rect {...project(boxes.bleed, at)} stroke={COLOURS.fold} strokeWidth="1" strokeDasharray="6 4" />
      <rect {...project(boxes.trim, at)} stroke={COLOURS.ink} strokeWidth="1" />
    </g>
  );
}
