'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useState } from 'react';
import type { Cost, CostReport, HouseCost } from '@/core/cost';
import { printRun } from '@/core/job';
import { counted, formatCount, formatMoney, formatNumber, formatSize } from '@/core/measure';
import { useJob } from '../../open-job/context';
import { wordsOf } from '../../shell/api';
import { fetched } from '../../shell/fetched';
import { COLOURS, FACES } from '../../shell/theme';
import { useCost } from './use-cost';

/** Charts are no part of what is seen first. */
const CostCurve = fetched(async () => (await import('./CostCurve')).default);

const figure = { fontFamily: FACES.figure, whiteSpace: 'nowrap' } as const;

/** What the job costs at each house, the cheapest first, how that comes about, and how it changes with the quantity. */
export function CostPart() {
  const job = useJob((s) => s.job);
  const run = printRun(job);
  const { report, problem } = useCost();
  if (!run) return <Box>Set a quantity under Brief.</Box>;
  if (problem) return <Box role="alert">{wordsOf(problem)}</Box>;
  if (!report) return <Box role="status">Trying every sheet of every house …</Box>;
  if (report.houses.every(({ cost }) => !cost))
    return <Box>No house of the book has prices for it. Set them under Books, Printers.</Box>;
  return <Report report={report} quantity={run.copies * run.each} />;
}

function Report({ report, quantity }: { readonly report: CostReport; readonly quantity: number }) {
  const [shown, setShown] = useState<string>();
  const { houses, carried } = report;
  const priced = houses.find(({ house, cost }) => cost && house === shown) ?? houses.find(({ cost }) => cost);
  return (
    <>
      <Box role="status" data-cheapest sx={{ fontWeight: 600 }}>
        {cheapestWords(report)}
      </Box>
      <Table size="small" aria-label="What it costs" sx={{ '& td, & th': { px: 0.75 } }}>
        <TableHead>
          <TableRow>
            {['House', 'On', 'Sheets', 'One copy', 'All', ''].map((name) => (
              <TableCell key={name}>{name}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {houses.map((one) => (
            <HouseRow key={one.house} one={one} isShown={one === priced} onShow={() => setShown(one.house)} />
          ))}
        </TableBody>
      </Table>
      {priced?.cost && <Lines house={priced.house} cost={priced.cost} />}
      <CostCurve report={report} copies={quantity} />
      <Box data-crossings>{crossingWords(report)}</Box>
      {carried && (
        <Box>
          The run weighs{' '}
          <Box component="span" sx={figure}>
            {formatNumber(carried.kg, 1)} kg
          </Box>
          : {counted(carried.parcels, 'parcel')} of up to 15 kg
          {carried.pallets > 0 && `, or ${counted(carried.pallets, 'pallet')}`} (common practice).
        </Box>
      )}
    </>
  );
}

interface RowProps {
  readonly one: HouseCost;
  readonly isShown: boolean;
  readonly onShow: () => void;
}

function HouseRow({ one: { house, cost, sheet, problem, leadDays }, isShown, onShow }: RowProps) {
  const unit = useJob((s) => s.job.unit);
  const days = leadDays === undefined ? '' : `, ${counted(leadDays, 'working day')}`;
  if (!cost)
    return (
      <TableRow>
        <TableCell component="th" scope="row">
          {house}
        </TableCell>
        <TableCell colSpan={5} sx={{ color: 'text.secondary' }}>
          {problem}
        </TableCell>
      </TableRow>
    );
  return (
    <TableRow selected={isShown} data-house={house}>
      <TableCell component="th" scope="row">
        {cost.undone.length > 0 && '▲ '}
        <b>{house}</b>
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {days}
          {cost.undone.length > 0 && `; without: ${cost.undone.join(', ')}`}
        </Box>
      </TableCell>
      <TableCell sx={figure}>{sheet && formatSize(sheet, unit)}</TableCell>
      <TableCell sx={figure}>{formatCount(cost.sheets)}</TableCell>
      <TableCell sx={figure}>{eachWords(cost)}</TableCell>
      <TableCell sx={figure}>{formatMoney(cost.total, cost.currency)}</TableCell>
      <TableCell>
        <Button size="small" aria-label={`How ${house} comes about`} aria-pressed={isShown} onClick={onShow}>
          working
        </Button>
      </TableCell>
    </TableRow>
  );
}

/** How a price comes about. */
function Lines({ house, cost }: { readonly house: string; readonly cost: Cost }) {
  return (
    <Box sx={{ borderLeft: `4px solid ${COLOURS.line}`, pl: 1.5 }}>
      <Table
        size="small"
        aria-label={`How the price of ${house} comes about`}
        sx={{ '& td': { px: 0.75, py: 0.25, border: 0 } }}
      >
        <TableBody>
          {cost.lines.map(({ name, working, money }) => (
            <TableRow key={name}>
              <TableCell sx={{ whiteSpace: 'nowrap' }}>{name}</TableCell>
              <TableCell sx={{ color: 'text.secondary' }}>{working}</TableCell>
              <TableCell align="right" sx={figure}>
                {formatMoney(money, cost.currency)}
              </TableCell>
            </TableRow>
          ))}
          <TableRow>
            <TableCell colSpan={2}>
              <b>All</b>
            </TableCell>
            <TableCell
              align="right"
              sx={{ ...figure, fontWeight: 700, borderTop: `1px solid ${COLOURS.ink} !important` }}
            >
              {formatMoney(cost.total, cost.currency)}
            </TableCell>
          </TableRow>
        </TableBody>
      </Table>
      {cost.undone.length > 0 && <Box>▲ Not done there: {cost.undone.join(', ')}.</Box>}
      {cost.unpriced.length > 0 && <Box>▲ Not counted, no price is known: {cost.unpriced.join(', ')}.</Box>}
    </Box>
  );
}

/** Small prices need more places than large ones. */
const eachWords = ({ each, currency }: Cost): string => `${currency} ${each.toFixed(each < 1 ? 4 : 2)}`;

function cheapestWords({ houses }: CostReport): string {
  const [first, second] = houses.flatMap(({ house, cost }) => (cost ? [{ house, cost }] : []));
  if (!first) return '';
  if (first.cost.undone.length > 0) return `No house of the book does all of it: ${first.cost.undone.join(', ')}.`;
  const isComparable = second?.cost.undone.length === 0 && second.cost.currency === first.cost.currency;
  const less = isComparable
    ? `, ${formatMoney(second.cost.total - first.cost.total, first.cost.currency)} less than ${second.house}`
    : '';
  return `Cheapest at ${first.house}: ${formatMoney(first.cost.total, first.cost.currency)}${less}.`;
}

function crossingWords({ crossings }: CostReport): string {
  return crossings
    .map(({ from, house }, i) =>
      i === 0 ? `${house} is the cheapest` : `from ${formatCount(from)} copies on ${house}`,
    )
    .join('; ')
    .concat('.');
}
