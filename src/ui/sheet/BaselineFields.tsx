'use client';
import Box from '@mui/material/Box';
import type { BaselineGrid } from '@/core/job';
import { CheckField } from '../field/CheckField';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { useJobStore } from '../job/context';
import { useDesk } from '../job/use-desk';

/** Level lines for the baselines of every side; paragraphs say whether they stand on them. */
export function BaselineFields() {
  const { piece, job, rules } = useDesk();
  const store = useJobStore();
  const grid = piece.baselineGrid;
  const set = (to: BaselineGrid | null) =>
    store.getState().edit('Baseline grid', (draft) => {
      const first = draft.pieces[0];
      if (first) first.baselineGrid = to;
    });
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
