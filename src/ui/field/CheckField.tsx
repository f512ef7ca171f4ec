'use client';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';

interface Props {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
}

/** Yes or no. */
export function CheckField({ label, checked, onChange }: Props) {
  return (
    <FormControlLabel
      sx={{ mr: 0, ml: '-4px' }}
      control={
        <Checkbox size="small" sx={{ p: 0.5 }} checked={checked} onChange={(event) => onChange(event.target.checked)} />
      }
      label={label}
      slotProps={{ typography: { sx: { fontSize: 13 } } }}
    />
  );
}
