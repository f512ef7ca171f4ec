'use client';
import Box from '@mui/material/Box';
import type { Blank } from '@/core/format';
import { formatLength, formatNumber, type JobUnit } from '@/core/measure';
import { COLOURS, FACES } from '../shell/theme';

interface Props {
  readonly blank: Blank;
  readonly sheet: number;
  readonly unit: JobUnit;
  /** Rim that cannot be printed, mm. */
  readonly rim: number;
}

const [WIDTH, HEIGHT] = [300, 260];

/** The press sheet with as many pieces on it as it takes, while its line on the yellow sheet is pointed at. */
export function SheetPicture({ blank, sheet, unit, rim }: Props) {
  const fit = blank.sheets[sheet];
  if (!fit) return null;
  const k = Math.min((WIDTH - 20) / fit.width, (HEIGHT - 20) / fit.height);
  const { withBleed: cell, trim } = blank.pressed;
  const [left, top] = [(fit.width - fit.across * cell.width) / 2, (fit.height - fit.down * cell.height) / 2];
  // Hundreds of labels would be a grey smear; the first rows show what happens.
  const places = Array.from({ length: Math.min(fit.up, 400) }, (_, i) => ({
    x: left + (i % fit.across) * cell.width,
    y: top + Math.floor(i / fit.across) * cell.height,
  }));
  return (
    <Box
      sx={{
        position: 'absolute',
        right: 20,
        bottom: 16,
        bgcolor: COLOURS.paper,
        border: `1px solid ${COLOURS.line}`,
        p: 1.25,
        pointerEvents: 'none',
        boxShadow: '0 3px 12px rgb(27 35 52 / 0.18)',
      }}
      data-sheet-picture={fit.sheet}
    >
      <svg width={fit.width * k + 4} height={fit.height * k + 4} role="img" aria-label={`${fit.up} up on ${fit.sheet}`}>
        <g transform={`translate(2 2) scale(${k})`}>
          <rect width={fit.width} height={fit.height} fill="#fbfbf7" stroke={COLOURS.ink} strokeWidth={1.4 / k} />
          <rect
            x={rim}
            y={rim}
            width={fit.width - 2 * rim}
            height={fit.height - 2 * rim}
            fill="none"
            stroke={COLOURS.inkSoft}
            strokeDasharray={`${4 / k} ${3 / k}`}
            strokeWidth={0.8 / k}
          />
          {places.map((p, i) => (
            <g key={i}>
              <rect {...p} {...cell} fill={COLOURS.sheetPale} stroke={COLOURS.line} strokeWidth={0.6 / k} />
              <rect
                x={p.x + (cell.width - trim.width) / 2}
                y={p.y + (cell.height - trim.height) / 2}
                {...trim}
                fill="#ffffff"
                stroke={COLOURS.ink}
                strokeWidth={0.9 / k}
              />
            </g>
          ))}
        </g>
      </svg>
      <Box sx={{ fontFamily: FACES.figure, fontSize: 12, maxWidth: WIDTH }}>
        {fit.why === undefined
          ? `${fit.across} × ${fit.down} = ${fit.up} up, ${formatNumber(fit.used * 100, 0)} % used`
          : `none: ${fit.why}`}
        <br />
        one, centred: {formatLength(fit.left, unit)}, {formatLength(fit.top, unit)}
      </Box>
    </Box>
  );
}
