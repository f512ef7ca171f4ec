'use client';
import Box from '@mui/material/Box';
import type { BaselineGrid } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { useJobStore } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { setBaselineGrid } from '@/core/edit';

/** Level lines for the baselines of every side; paragraphs say whether they stand on them. */
export function BaselineFields() {
  const { piece, job, rules } = useDesk();
  const { change } = useJobStore().getState();
  const grid = piece.baselineGrid;
  const set = (to: BaselineGrid | null) => change('Baseline grid', (now) => setBaselineGrid(now, to));
  return (
    <Box role="group" aria-label="Baseline grid" sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-end' }}>
      <CheckField
        label="baseline grid"
        checked={grid !== null}
        onChange={(on) => set(on ? { first: 10, stepPt: 12 } : null)}
      />
      {grid && (
        <HeldLengthField
          label="first at"
          name="baseline-first"
          value={grid.first}
          unit={job.unit}
          ppi={rules.ppi.value}
          width={80}
          onChange={(first) => set({ ...grid, first })}
        />
      )}
      {grid && (
        <NumberField
          label="every"
          name="baseline-step"
          value={grid.stepPt}
          least={1}
          most={1000}
          width={72}
          after=" pt"
          onChange={(stepPt) => set({ ...grid, stepPt })}
        />
      )}
    </Box>
  );
}
