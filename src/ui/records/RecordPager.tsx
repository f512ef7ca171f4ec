'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { ChevronLeft, ChevronRight } from 'lucide-react';
import { countOf } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { NumberField } from '../field/NumberField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';

/** Which record the bench shows: one after the other, by its number, or the names of the columns. */
export function RecordPager() {
  const { job } = useDesk();
  const shown = useJob((s) => s.record);
  const show = useJob((s) => s.showRecord);
  const count = countOf(job);
  const at = Math.min(shown ?? 0, count - 1);
  const step = (by: number) => show(Math.min(count - 1, Math.max(0, at + by)));
  return (
    <Box role="group" aria-label="Record shown" sx={{ display: 'flex', gap: 0.5, alignItems: 'flex-end' }}>
      <Button
        size="small"
        aria-label="Record before"
        disabled={at === 0}
        onClick={() => step(-1)}
        sx={{ minWidth: 32 }}
      >
        <ChevronLeft size={16} aria-hidden />
      </Button>
      <NumberField
        label={`record, of ${count}`}
        value={at + 1}
        least={1}
        most={count}
        whole
        width={104}
        onChange={(to) => show(to - 1)}
      />
      <Button
        size="small"
        aria-label="Next record"
        disabled={at === count - 1}
        onClick={() => step(1)}
        sx={{ minWidth: 32 }}
      >
        <ChevronRight size={16} aria-hidden />
      </Button>
      <CheckField
        label="names of columns"
        checked={shown === undefined}
        onChange={(isOn) => show(isOn ? undefined : at)}
      />
    </Box>
  );
}
