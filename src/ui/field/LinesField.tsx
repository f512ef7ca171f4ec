'use client';
import TextField from '@mui/material/TextField';
import { useId, useState } from 'react';
import type { FieldError, Parsed } from '@/core/measure';

interface Props {
  readonly label: string;
  readonly name: string;
  readonly shown: string;
  readonly hint?: string;
  readonly read: (text: string) => Parsed<unknown>;
  readonly refuse: (value: unknown) => string | undefined;
  readonly onChange: (value: unknown) => void;
}

/** Words of several lines, taken on leaving or with Ctrl+Enter, refused at the field. */
export function LinesField({ label, name, shown, hint, read, refuse, onChange }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string>();
  const [error, setError] = useState<FieldError>();
  const take = () => {
    if (draft === undefined || draft === shown) return leave();
    const result = read(draft);
    if (!result.ok) return setError(result.error);
    const refusal = refuse(result.value);
    if (refusal) return setError({ at: 0, length: draft.length, message: refusal });
    leave();
    onChange(result.value);
  };
  const leave = () => {
    setDraft(undefined);
    setError(undefined);
  };
  return (
    <TextField
      id={id}
      label={label}
      name={name}
      multiline
      minRows={2}
      maxRows={8}
      autoComplete="off"
      value={draft ?? shown}
      onChange={(event) => setDraft(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        // Its lines are its own: no command of the page is meant.
        event.stopPropagation();
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) take();
        if (event.key === 'Escape') leave();
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
