'use client';
import { useState } from 'react';
import type { Edges } from '@/core/job';
import { EDGE_NAMES } from '@/core/layout';
import type { Unit } from '@/core/measure';
import { CheckField } from './CheckField';
import { LengthField } from './LengthField';

interface Props {
  readonly name: string;
  readonly value: Edges;
  readonly unit: Unit;
  readonly ppi: number;
  readonly onChange: (edges: Edges) => void;
}

/** A length at each edge; linked, one field speaks for all four. */
export function EdgesField({ name, value, unit, ppi, onChange }: Props) {
  const isEven = EDGE_NAMES.every((edge) => value[edge] === value.top);
  const [linked, setLinked] = useState(isEven);
  const shared = { unit, ppi, width: 88 };
  return (
    <>
      {linked ? (
        <LengthField
          {...shared}
          label="each edge"
          name={`${name}-all`}
          value={value.top}
          onChange={(mm) => onChange({ top: mm, right: mm, bottom: mm, left: mm })}
        />
      ) : (
        EDGE_NAMES.map((edge) => (
          <LengthField
            {...shared}
            key={edge}
            label={edge}
            name={`${name}-${edge}`}
            value={value[edge]}
            onChange={(mm) => onChange({ ...value, [edge]: mm })}
          />
        ))
      )}
      <CheckField label="linked" checked={linked} onChange={setLinked} />
    </>
  );
}
