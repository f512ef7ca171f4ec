'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { runWithDrift, type Programme, type ProgrammeRun } from '@/core/impose';
import type { Size } from '@/core/paper';
import { counted, formatNumber } from '@/core/measure';
import { useDesk } from '../open-job/use-desk';
import { COLOURS, FACES } from '../shell/theme';
import { useSheetView } from '../view/sheet-view';

/** The programme of the knife: every cut with its figure; the one that is pointed at is shown on the sheet. */
export function CuttingList({ programme, sheet }: { readonly programme: Programme; readonly sheet: Size }) {
  const [open, setOpen] = useState(false);
  const { cut, set } = useSheetView();
  const { cuts } = programme;
  return (
    <Box>
      <Button size="small" variant="outlined" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Close the programme' : `Cutting programme: ${counted(cuts.length, 'cut')}`}
      </Button>
      {open && (
        <Box
          component="table"
          aria-label="Cutting programme"
          sx={{
            mt: 1,
            width: '100%',
            borderCollapse: 'collapse',
            fontFamily: FACES.figure,
            fontSize: 12.5,
            '& td, & th': { textAlign: 'right', px: 0.5, py: 0.25 },
            '& td:last-of-type, & th:last-of-type': { textAlign: 'left' },
          }}
        >
          <thead>
            <tr>
              <th>cut</th>
              <th>pile</th>
              <th>turn</th>
              <th>gauge mm</th>
              <th>in front</th>
            </tr>
          </thead>
          <tbody>
            {cuts.map(({ number, pile, turn, gauge, front }, i) => (
              <Box
                component="tr"
                key={number}
                tabIndex={0}
                aria-selected={cut === i}
                onMouseEnter={() => set({ cut: i })}
                onFocus={() => set({ cut: i })}
                onMouseLeave={() => set({ cut: undefined })}
                onBlur={() => set({ cut: undefined })}
                sx={{ '&[aria-selected="true"]': { bgcolor: COLOURS.sheetPale } }}
              >
                <td>{number}</td>
                <td>{pile}</td>
                <td>{turn === 0 ? '' : `${turn}°`}</td>
                <td>{formatNumber(gauge, 2)}</td>
                <td>{front.is === 'pile' ? `pile ${front.number}` : `${formatNumber(front.width, 2)} off`}</td>
              </Box>
            ))}
          </tbody>
        </Box>
      )}
      {open && <Run programme={programme} sheet={sheet} />}
      {open && (
        <Box sx={{ mt: 0.75, fontSize: 12, color: COLOURS.sheetSoft }}>
          A guillotine is for trained people: clamp, guards and both hands on the machine, by the rules of the house.
        </Box>
      )}
    </Box>
  );
}

/** What the simulated guillotine makes of the programme. */
function Run({ programme, sheet }: { readonly programme: Programme; readonly sheet: Size }) {
  const [run, setRun] = useState<ProgrammeRun>();
  const { rules } = useDesk();
  const { drift } = rules.machines.guillotine.value;
  const mm = (length: number) => `${formatNumber(length, 2)} mm`;
  return (
    <Box sx={{ mt: 0.75, fontSize: 13 }}>
      <Button size="small" variant="outlined" onClick={() => setRun(runWithDrift(sheet, programme, drift))}>
        Run it
      </Button>
      {run && (
        <Box role="status" aria-label="Simulated run" sx={{ mt: 0.5 }}>
          {counted(run.pieces, 'piece')},{' '}
          {run.exact < 0.005 ? 'each at its size' : `the worst ${mm(run.exact)} off its size`}. With cuts that wander by
          ± {mm(drift)}: half of them no more than {mm(run.off.half)} off, 99 in a hundred no more than{' '}
          {mm(run.off.most)}.
        </Box>
      )}
    </Box>
  );
}
