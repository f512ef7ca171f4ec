'use client';
import Box from '@mui/material/Box';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { CostReport } from '@/core/cost';
import { formatCount } from '@/core/measure';
import { COLOURS } from '../../shell/theme';

/** Lines are told apart by their dashes as well as their shade. */
const DASHES = [undefined, '7 3', '2 3', '10 3 2 3'] as const;

/** 1, 2 and 5 of each power of ten between two numbers: what one reads off an axis by ratio. */
function ticksBetween(from: number, to: number): number[] {
  const first = Math.floor(Math.log10(from));
  const powers = Array.from({ length: Math.ceil(Math.log10(to)) - first + 1 }, (_, i) => 10 ** (first + i));
  const all = powers.flatMap((power) => [power, 2 * power, 5 * power]).filter((n) => n >= from && n <= to);
  return all.length > MOST ? all.filter((n) => Number.isInteger(Math.log10(n) + 1e-9) || n === all[0]) : all;
}

/** So many ticks stand beside each other. */
const MOST = 14;

interface Props {
  readonly report: CostReport;
  readonly copies: number;
}

/** What one copy costs over the quantity, by house; both axes by ratio. */
export default function CostCurve({ report: { curve, houses }, copies }: Props) {
  const names = houses.flatMap(({ house, cost }) => (cost ? [house] : []));
  const currency = houses.find(({ cost }) => cost)?.cost?.currency ?? '';
  const prices = curve.flatMap(({ each }) => names.flatMap((name) => each[name] ?? []));
  const priceTicks = ticksBetween(Math.min(...prices) / 2, Math.max(...prices) * 2);
  const ends = [priceTicks[0] ?? 0.01, priceTicks.at(-1) ?? 1];
  const data = curve.map(({ copies: n, each }) => ({ copies: n, ...each }));
  return (
    <Box role="img" aria-label={`What one copy costs over the quantity, at ${names.join(', ')}`}>
      <Box aria-hidden sx={{ display: 'flex', gap: 2, fontSize: 12.5, pl: 7, flexWrap: 'wrap' }}>
        {names.map((name, i) => (
          <span key={name}>
            <svg width="30" height="8">
              <path d="M0 4H30" stroke={COLOURS.ink} strokeWidth="2" strokeDasharray={DASHES[i % DASHES.length]} />
            </svg>{' '}
            {name}
          </span>
        ))}
      </Box>
      <ResponsiveContainer width="100%" height={250}>
        <LineChart data={data} margin={{ top: 8, right: 16, bottom: 24, left: 8 }}>
          <CartesianGrid strokeDasharray="2 4" />
          <XAxis
            dataKey="copies"
            type="number"
            scale="log"
            domain={['dataMin', 'dataMax']}
            ticks={ticksBetween(curve[0]?.copies ?? 1, curve.at(-1)?.copies ?? 10)}
            tickFormatter={(n: number) => formatCount(Math.round(n))}
            label={{ value: 'copies', position: 'bottom', offset: 6, fontSize: 12 }}
          />
          <YAxis
            type="number"
            scale="log"
            domain={ends}
            ticks={priceTicks}
            width={64}
            tickFormatter={(n: number) => `${currency} ${n >= 1 ? formatCount(n) : Number(n.toPrecision(1))}`}
          />
          <ReferenceLine x={copies} stroke={COLOURS.sheetLine} strokeWidth={2} />
          {names.map((name, i) => (
            <Line
              key={name}
              dataKey={name}
              stroke={COLOURS.ink}
              strokeWidth={2}
              strokeDasharray={DASHES[i % DASHES.length] ?? ''}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </Box>
  );
}
