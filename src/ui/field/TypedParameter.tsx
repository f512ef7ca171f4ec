'use client';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Parameter } from '@/core/format';
import { FACES } from '../shell/theme';

interface Props {
  readonly name: string;
  readonly parameter: Parameter;
  readonly text: string;
  readonly imperial: boolean;
  /** What an empty field stands for, where that is not the usual value. */
  readonly placeholder?: string;
  readonly error: string | undefined;
  readonly onChange: (text: string) => void;
}

/** A decision as one types it, before there is a job: read at every keystroke, its usual value shown while empty. */
export function TypedParameter({ name, parameter, text, imperial, placeholder, error, onChange }: Props) {
  const preset = parameter.default?.[imperial ? 'imperial' : 'metric'];
  const stands = placeholder ?? preset;
  const common = {
    name,
    label: parameter.label,
    error: error !== undefined,
    helperText: error ? <span role="alert">{error}</span> : parameter.help,
    onChange: (event: { target: { value: string } }) => onChange(event.target.value),
  };
  if (parameter.options) {
    return (
      <TextField {...common} select value={text || stands || ''} slotProps={{ inputLabel: { shrink: true } }}>
        {parameter.options.map((o) => (
          <MenuItem key={o.value} value={o.value} dense>
            {o.label}
          </MenuItem>
        ))}
      </TextField>
    );
  }
  return (
    <TextField
      {...common}
      autoComplete="off"
      value={text}
      placeholder={stands ?? 'worked out'}
      {...(parameter.isLong && { multiline: true, minRows: 2, maxRows: 8 })}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { style: { fontFamily: parameter.isLong ? 'inherit' : FACES.figure } },
      }}
    />
  );
}
