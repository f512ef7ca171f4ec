'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { paperSize } from '@/core/paper';
import { parsePair, type Parsed } from '@/core/measure';
import type { SheetSize } from '@/core/shop';
import { goToInvalid } from '../field/first-invalid';
import { MeasureField } from '../field/MeasureField';

interface Props {
  readonly title: string;
  readonly children: ReactNode;
  readonly canKeep: boolean;
  readonly onKeep: () => void;
  /** Why it cannot be kept as it is. */
  readonly problems: readonly string[];
  readonly onLeave: () => void;
  readonly onRemove?: () => void;
}

/** The frame of a record’s form. */
export function RecordForm({ title, children, canKeep, onKeep, problems, onLeave, onRemove }: Props) {
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (canKeep && !goToInvalid(event.currentTarget)) onKeep();
      }}
      sx={{ display: 'grid', gap: 2 }}
    >
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        {title}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>{children}</Box>
      {problems.length > 0 && <Alert severity="error">{problems.join(' ')}</Alert>}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={!canKeep}>
          Keep
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
        {onRemove && (
          <Button color="error" onClick={onRemove} sx={{ ml: 'auto' }}>
            Take out
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** Sheets as one types them: `SRA3; B1 720 x 1020 mm`. */
export function SheetsField({
  value,
  onChange,
}: {
  readonly value: readonly SheetSize[];
  readonly onChange: (sheets: SheetSize[]) => void;
}) {
  return (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <MeasureField<SheetSize[]>
        label="Sheets"
        width="100%"
        shown={value.map((s) => (paperSize(s.name) ? s.name : `${s.name}: ${s.width} x ${s.height} mm`)).join('; ')}
        hint="Paper names, or a name and a size: SRA3; Roll: 1600 x 5000 mm"
        read={readSheets}
        onChange={onChange}
      />
    </Box>
  );
}

function readSheets(text: string): Parsed<SheetSize[]> {
  const sheets: SheetSize[] = [];
  for (const part of text
    .split(';')
    .map((p) => p.trim())
    .filter(Boolean)) {
    const [, name = part, pair] = /^([^:]+):(.+)$/.exec(part) ?? [];
    const named = paperSize(name);
    if (!pair && named) {
      sheets.push({ name: name.trim(), ...named });
      continue;
    }
    const read = parsePair(pair ?? part, { unit: 'mm', ppi: 300 });
    if (!read.ok)
      return {
        ok: false,
        error: { at: text.indexOf(part), length: part.length, message: `“${part}”: ${read.error.message}` },
      };
    sheets.push({ name: pair ? name.trim() : part, ...read.value });
  }
  return { ok: true, value: sheets };
}
