'use client';
import TextField from '@mui/material/TextField';
import { useId } from 'react';
import type { FieldError, Parsed } from '@/core/measure';
import { FACES } from '../shell/theme';
import { FIELD_LINE, fittedType } from './fitted-type';
import { useDraft } from './use-draft';

interface Props<T> {
  readonly label: string;
  /** The value as it would be typed, with its unit. */
  readonly shown: string;
  readonly read: (text: string) => Parsed<T>;
  readonly onChange: (value: T) => void;
  /** A further condition, such as “not negative”. */
  readonly refuse?: (value: T) => string | undefined;
  readonly hint?: string;
  /** What stands there while nothing is given. */
  readonly placeholder?: string;
  readonly held?: boolean;
  readonly width?: number | string;
  /** What may be longer than the field goes on in a second line. */
  readonly isLong?: boolean;
  readonly name?: string;
  readonly autoFocus?: boolean;
}

/** Type of what goes on in a second line. */
const LONG = { fontSize: 12.5, lineHeight: 1.3 } as const;

/**
 * A field that reads measures, sizes or numbers: taken on Enter or on leaving, refused at the field with the place of
 * the error.
 */
export function MeasureField<T>({
  label,
  shown,
  read,
  onChange,
  refuse,
  hint,
  placeholder,
  held,
  width = 96,
  isLong = false,
  name,
  autoFocus,
}: Props<T>) {
  const id = useId();
  const { text, error, field } = useDraft({ shown, read, refuse, onTake: onChange });
  return (
    <TextField
      id={id}
      label={label}
      name={name ?? label}
      autoFocus={autoFocus ?? false}
      autoComplete="off"
      multiline={isLong}
      {...field}
      placeholder={placeholder ?? ''}
      error={error !== undefined}
      helperText={error ? <Pointed text={text} error={error} /> : hint}
      sx={{ width, '& .MuiInput-root::before': { borderBottomWidth: held ? 2 : 1 } }}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: {
          spellCheck: false,
          // A narrow field shows the whole of it to who points at it.
          title: text,
          style: {
            fontFamily: FACES.figure,
            fontWeight: held ? 600 : 400,
            ...(isLong
              ? LONG
              : {
                  height: FIELD_LINE,
                  fontSize: fittedType(text, typeof width === 'number' ? width : undefined, 'figures'),
                }),
          },
        },
      }}
    />
  );
}

/** What is wrong, with the place marked in what was typed. */
function Pointed({ text, error }: { readonly text: string; readonly error: FieldError }) {
  const inside = error.length > 0 && error.length < text.length;
  return (
    <span role="alert">
      {inside && (
        <span style={{ fontFamily: FACES.figure, display: 'block' }}>
          {text.slice(0, error.at)}
          <mark style={{ background: '#ffd7d2', color: 'inherit', textDecoration: 'underline' }}>
            {text.slice(error.at, error.at + error.length)}
          </mark>
          {text.slice(error.at + error.length)}
        </span>
      )}
      {error.message}
    </span>
  );
}
