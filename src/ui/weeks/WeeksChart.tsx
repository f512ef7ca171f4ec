'use client';
import Box from '@mui/material/Box';
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { isoWeek } from '@/core/dates';
import { housesOf, type Week } from '@/core/schedule';
import { COLOURS } from '../shell/theme';

/** Houses are told apart by how their bars are filled. */
const FILLS = ['M0 0H6V6H0Z', 'M0 6L6 0', 'M0 3H6', 'M2 2H4V4H2Z', 'M3 0V6', ''] as const;

interface Props {
  readonly weeks: readonly Week[];
}

/** How many jobs lie with each printer, week by week. */
export default function WeeksChart({ weeks }: Props) {
  const houses = housesOf(weeks);
  const data = weeks.map(({ from, byHouse }) => ({
    week: isoWeek(from),
    ...Object.fromEntries(houses.map((house, i) => [`house${i}`, byHouse[house]?.length ?? 0])),
  }));
  return (
    <Box role="img" aria-label={`Jobs with ${houses.join(', ')}, week by week`}>
      <svg width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
        <defs>
          {FILLS.map((path, i) => (
            <pattern key={path} id={`weeks-${i}`} width="6" height="6" patternUnits="userSpaceOnUse">
              <rect width="6" height="6" fill={COLOURS.paper} />
              <path d={path} fill={i === 0 || i === 3 ? COLOURS.ink : 'none'} stroke={COLOURS.ink} />
            </pattern>
          ))}
        </defs>
      </svg>
      <Box aria-hidden sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', fontSize: 13, pl: 5 }}>
        {houses.map((house, i) => (
          <span key={house}>
            <svg width="18" height="12" style={{ verticalAlign: '-1px' }}>
              <rect width="18" height="12" fill={`url(#weeks-${i % FILLS.length})`} stroke={COLOURS.ink} />
            </svg>{' '}
            {house}
          </span>
        ))}
      </Box>
      <ResponsiveContainer width="100%" height={220}>
        <BarChart data={data} margin={{ top: 8, right: 8, bottom: 20, left: 0 }}>
          <CartesianGrid strokeDasharray="2 4" vertical={false} />
          <XAxis dataKey="week" label={{ value: 'week', position: 'bottom', offset: 4, fontSize: 12 }} />
          <YAxis allowDecimals={false} width={32} />
          {houses.map((house, i) => (
            <Bar
              key={house}
              dataKey={`house${i}`}
              stackId="week"
              fill={`url(#weeks-${i % FILLS.length})`}
              stroke={COLOURS.ink}
              isAnimationActive={false}
              maxBarSize={42}
            />
          ))}
        </BarChart>
      </ResponsiveContainer>
    </Box>
  );
}
