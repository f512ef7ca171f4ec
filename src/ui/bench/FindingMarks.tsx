import type { Finding } from '@/core/check';
import { COLOURS, FACES } from '../shell/theme';
import { project } from '../view/bench-view';
import type { Projection } from '../view/bench-view';

/** Where the checks found something, numbered as in the list. */
export function FindingMarks({ findings, at }: { readonly findings: readonly Finding[]; readonly at: Projection }) {
  return findings.map((finding, i) => {
    const r = project(finding.where, at);
    const colour = finding.severity === 'fault' ? COLOURS.fault : COLOURS.warning;
    return (
      <g key={`${finding.rule}-${finding.element}-${i}`} pointerEvents="none">
        <rect
          x={r.x}
          y={r.y}
          width={Math.max(r.width, 2)}
          height={Math.max(r.height, 2)}
          fill={colour}
          fillOpacity="0.1"
          stroke={colour}
          strokeWidth="1.6"
          strokeDasharray="5 3"
        />
        <circle cx={r.x} cy={r.y} r="10" fill={colour} stroke="#fff" strokeWidth="1.5" />
        <text
          x={r.x}
          y={r.y + 4}
          textAnchor="middle"
          fill="#fff"
          fontFamily={FACES.figure}
          fontWeight="600"
          fontSize="11"
        >
          {i + 1}
        </text>
      </g>
    );
  });
}
