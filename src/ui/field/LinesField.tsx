'use client';
import TextField from '@mui/material/TextField';
import { useId } from 'react';
import type { Parsed } from '@/core/measure';
import { useDraft } from './use-draft';

interface Props<T> {
  readonly label: string;
  readonly name: string;
  readonly shown: string;
  readonly hint?: string;
  readonly read: (text: string) => Parsed<T>;
  readonly refuse?: (value: T) => string | undefined;
  readonly onChange: (value: T) => void;
}

/** Words of several lines, taken on leaving or with Ctrl+Enter, refused at the field. */
export function LinesField<T>({ label, name, shown, hint, read, refuse, onChange }: Props<T>) {
  const id = useId();
  const { error, field } = useDraft({
    shown,
    read,
    ...(refuse && { refuse }),
    onTake: onChange,
    takenBy: 'ctrl-enter',
  });
  return (
    <TextField
      id={id}
      label={label}
      name={name}
      multiline
      minRows={2}
      maxRows={8}
      autoComplete="off"
      {...field}
      onKeyDown={(event) => {
        // Its lines are its own: no command of the page is meant.
        event.stopPropagation();
        field.onKeyDown(event);
      }}
      error={error !== undefined}
      helperText={error ? <span role="alert">{error.message}</span> : hint}
      sx={{ gridColumn: '1 / -1' }}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { spellCheck: false, style: { fontSize: 14, lineHeight: 1.35 } },
      }}
    />
  );
}
