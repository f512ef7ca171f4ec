'use client';
import { AdapterDateFns } from '@mui/x-date-pickers/AdapterDateFns';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { formatISO, isValid, parseISO } from 'date-fns';
import { enGB } from 'date-fns/locale/en-GB';

export interface DateFieldProps {
  /** Stands above it. */
  readonly label?: string;
  /** Read out where nothing stands above it. */
  readonly name?: string;
  /** ISO 8601; null while it is open. */
  readonly value: string | null;
  readonly onChange: (day: string | null) => void;
  readonly hint?: string;
  readonly isClearable?: boolean;
}

/** A day, written or chosen from a calendar: `11 Dec 2026`. What is not whole yet changes nothing. */
export function DateField({ label, name, value, onChange, hint, isClearable = false }: DateFieldProps) {
  return (
    <LocalizationProvider dateAdapter={AdapterDateFns} adapterLocale={enGB}>
      <DatePicker
        {...(label !== undefined && { label })}
        value={value === null ? null : parseISO(value)}
        format="d MMM yyyy"
        onChange={(date, { validationError }) => {
          if (validationError !== null) return;
          if (date === null) {
            if (isClearable) onChange(null);
          } else if (isValid(date)) onChange(formatISO(date, { representation: 'date' }));
        }}
        slotProps={{
          textField: {
            variant: 'standard',
            size: 'small',
            helperText: hint,
            // The field is on a sheet whose keys are commands.
            onKeyDown: (event) => event.stopPropagation(),
            slotProps: { input: { 'aria-label': name } },
          },
          field: { clearable: isClearable },
          openPickerButton: { size: 'small' },
        }}
      />
    </LocalizationProvider>
  );
}
