'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  readonly width?: number | string;
}

/** One of a few. */
export function ChoiceField<T extends string>({ label, value, options, onChange, width = 120 }: Props<T>) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => {
        const chosen = options.find((o) => o.value === event.target.value);
        if (chosen) onChange(chosen.value);
      }}
      sx={{ width }}
      slotProps={{ inputLabel: { shrink: true }, select: { SelectDisplayProps: { style: { fontSize: 14 } } } }}
    >
      {options.map((o) => (
        <MenuItem key={o.value} value={o.value} dense>
          {o.label}
        </MenuItem>
      ))}
    </TextField>
  );
}
