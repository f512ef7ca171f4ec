'use client';
import { AdapterDateFns } from '@mui/x-date-pickers/AdapterDateFns';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { formatISO, isValid, parseISO } from 'date-fns';
import { enGB } from 'date-fns/locale/en-GB';
import { useRef, useState } from 'react';

/** The first year that is meant: what is below is being written. */
const FIRST = 1900;

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
  readonly width?: number;
}

/**
 * A day, written or chosen from a calendar: `11 Dec 2026`. What is written is taken on Enter or on leaving; what is not
 * whole, or no day, changes nothing.
 */
export function DateField({ label, name, value, onChange, hint, isClearable = false, width }: DateFieldProps) {
  /** What is being written; undefined while nothing was. */
  const draft = useRef<Date | null>(undefined);
  // The field keeps what is being written itself: given back to it half written, it would begin anew. It is made anew
  // where the day was changed elsewhere, and stays the same where it was written here.
  const [field, setField] = useState({ shown: value, own: value, key: 0 });
  if (value !== field.shown)
    setField({ shown: value, own: value, key: value === field.own ? field.key : field.key + 1 });
  const take = (date: Date | null | undefined) => {
    if (date === undefined) return;
    draft.current = undefined;
    const day =
      date && isValid(date) && date.getFullYear() >= FIRST ? formatISO(date, { representation: 'date' }) : null;
    if (day === value || (day === null && !(date === null && isClearable))) return;
    setField((now) => ({ ...now, own: day }));
    onChange(day);
  };
  return (
    <LocalizationProvider dateAdapter={AdapterDateFns} adapterLocale={enGB}>
      <DatePicker
        {...(label !== undefined && { label })}
        key={field.key}
        defaultValue={value === null ? null : parseISO(value)}
        format="d MMM yyyy"
        onChange={(date) => {
          draft.current = date;
        }}
        // A day from the calendar is meant at once; one that is being written may be on its way to another.
        onAccept={(date, { source }) => {
          if (source !== 'field') take(date);
        }}
        slotProps={{
          textField: {
            variant: 'standard',
            size: 'small',
            helperText: hint,
            ...(width !== undefined && { sx: { width } }),
            // The field is on a sheet whose keys are commands.
            onKeyDown: (event) => {
              event.stopPropagation();
              if (event.key === 'Enter') take(draft.current);
            },
            // From the day to the month is not away.
            onBlur: ({ currentTarget, relatedTarget }) => {
              if (!currentTarget.contains(relatedTarget)) take(draft.current);
            },
            slotProps: { input: { 'aria-label': name } },
          },
          field: { clearable: isClearable },
          openPickerButton: { size: 'small' },
        }}
      />
    </LocalizationProvider>
  );
}
