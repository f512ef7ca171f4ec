'use client';
import { useState } from 'react';
import type { Grid } from '@/core/job';
import { EDGE_NAMES } from '@/core/layout';
import type { Unit } from '@/core/measure';
import { CheckField } from './CheckField';
import { HeldLengthField } from './LengthField';
import { useDesk } from '../open-job/use-desk';

interface Props {
  readonly name: string;
  readonly margins: Grid['margins'];
  readonly facing: boolean | undefined;
  readonly unit: Unit;
  readonly ppi: number;
  readonly onChange: (to: Pick<Grid, 'margins' | 'facing'>) => void;
}

const NONE = { top: 0, right: 0, bottom: 0, left: 0 };

/** Margins of a grid inside its box: one for all, or each by itself; on facing pages the left one is the inner one. */
export function GridMargins({ name, margins, facing, onChange, ...context }: Props) {
  const { blank } = useDesk();
  const given = margins ?? NONE;
  const isEven = EDGE_NAMES.every((edge) => given[edge] === given.top);
  const [linked, setLinked] = useState(isEven);
  const words = facing
    ? { top: 'top', right: 'outside', bottom: 'bottom', left: 'inside' }
    : { top: 'top', right: 'right', bottom: 'bottom', left: 'left' };
  const set = (to: typeof given) => onChange({ margins: EDGE_NAMES.every((edge) => to[edge] === 0) ? undefined : to });
  return (
    <>
      {linked ? (
        <HeldLengthField
          {...context}
          label="margin"
          value={given.top}
          width={70}
          onChange={(m) => set({ top: m, right: m, bottom: m, left: m })}
        />
      ) : (
        EDGE_NAMES.map((edge) => (
          <HeldLengthField
            key={edge}
            {...context}
            label={words[edge]}
            name={`${name}-${edge}`}
            value={given[edge]}
            width={70}
            onChange={(m) => set({ ...given, [edge]: m })}
          />
        ))
      )}
      <CheckField label="linked" checked={linked} onChange={setLinked} />
      {blank.surfaces.length > 2 && !linked && (
        <CheckField
          label="facing pages"
          checked={facing ?? false}
          onChange={(is) => onChange({ facing: is || undefined })}
        />
      )}
    </>
  );
}
