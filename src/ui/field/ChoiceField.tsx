'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { FIELD_LINE, fittedType } from './fitted-type';

/** What the arrow takes of the field, px. */
const ARROW = 26;

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  /** Why a choice cannot be; it is said here and nothing changes. */
  readonly refuse?: (value: T) => string | undefined;
  readonly width?: number | string;
}

/** One of a few. */
export function ChoiceField<T extends string>({ label, value, options, onChange, refuse, width = 120 }: Props<T>) {
  const shown = options.find((o) => o.value === value)?.label ?? '';
  const fontSize = fittedType(shown, typeof width === 'number' ? width - ARROW : undefined, 'letters');
  const [problem, setProblem] = useState<string>();
  return (
    <TextField
      select
      label={label}
      value={value}
      error={problem !== undefined}
      helperText={problem && <span role="alert">{problem}</span>}
      onChange={(event) => {
        const chosen = options.find((o) => o.value === event.target.value);
        if (!chosen) return;
        const refusal = refuse?.(chosen.value);
        setProblem(refusal);
        if (!refusal) onChange(chosen.value);
      }}
      sx={{ width }}
      slotProps={{
        inputLabel: { shrink: true },
        select: {
          displayEmpty: true,
          SelectDisplayProps: { style: { fontSize, minHeight: FIELD_LINE, lineHeight: `${FIELD_LINE}px` } },
        },
      }}
    >
      {options.map((o) => (
        <MenuItem key={o.value} value={o.value} dense>
          {o.label}
        </MenuItem>
      ))}
    </TextField>
  );
}
