'use client';
import Box from '@mui/material/Box';
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Trial } from '@/core/practice';
import { COLOURS } from '../shell/theme';

/** So many rounds stand beside each other. */
const SHOWN = 30;

/** What was found, seen and missed, round by round; the table below it says the same. */
export default function ProgressChart({ trials }: { readonly trials: readonly Trial[] }) {
  const data = trials.slice(-SHOWN).map(({ found, seen, missed }, i) => ({ round: i + 1, found, seen, missed }));
  const bar = { stackId: 'round', stroke: COLOURS.ink, isAnimationActive: false, maxBarSize: 28 } as const;
  return (
    <Box role="img" aria-label="Faults found, seen and missed, round by round">
      <Box aria-hidden sx={{ display: 'flex', gap: 2, fontSize: 12.5, pl: 5 }}>
        <span>■ found</span>
        <span>▨ seen</span>
        <span>□ missed</span>
      </Box>
      <svg width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
        <defs>
          <pattern id="practice-seen" width="5" height="5" patternUnits="userSpaceOnUse">
            <path d="M0 5L5 0" stroke={COLOURS.ink} strokeWidth="1" />
          </pattern>
        </defs>
      </svg>
      <ResponsiveContainer width="100%" height={170}>
        <BarChart data={data} margin={{ top: 8, right: 8, bottom: 4, left: 0 }}>
          <CartesianGrid strokeDasharray="2 4" vertical={false} />
          <XAxis dataKey="round" />
          <YAxis allowDecimals={false} width={32} />
          <Bar {...bar} dataKey="found" fill={COLOURS.ink} />
          <Bar {...bar} dataKey="seen" fill="url(#practice-seen)" />
          <Bar {...bar} dataKey="missed" fill={COLOURS.paper} />
        </BarChart>
      </ResponsiveContainer>
    </Box>
  );
}
