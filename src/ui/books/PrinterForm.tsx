'use client';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { MARKS, PRESSES, PROFILES, STANDARDS, House } from '@/core/shop';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { ClosedDays } from './ClosedDays';
import { MachineRows } from './MachineRows';
import { PriceRows } from './PriceRows';
import { CoatingRows, LineRows } from './ProcessRows';
import type { FormProps } from './form-props';
import { RecordForm, SheetsField } from './RecordForm';
import { useRecord } from './use-record';

const all = (mm: number) => ({ top: mm, right: mm, bottom: mm, left: mm });

const LENGTHS = [
  ['bleed', 'Bleed'],
  ['safe', 'Safe margin'],
  ['unprintable', 'Unprintable edge'],
  ['markOffset', 'Marks from the trim'],
  ['trimTolerance', 'The knife wanders by'],
  ['foldTolerance', 'The folder wanders by'],
] as const;

const NUMBERS = [
  ['minPpi', 'Least resolution', 1, 5000, ' ppi'],
  ['maxPpi', 'Most of use', 1, 5000, ' ppi'],
  ['inkLimit', 'Ink limit', 100, 400, ' %'],
  ['minTypePt', 'Smallest type', 1, 100, ' pt'],
  ['minReversedTypePt', 'Smallest reversed type', 1, 100, ' pt'],
  ['minLinePt', 'Thinnest line', 0.01, 10, ' pt'],
  ['lineWeightPt', 'Weight of process lines', 0.05, 1, ' pt'],
  ['leadDays', 'Working days', 0, 365, ''],
] as const;

const MARK_WORDS: Readonly<Record<(typeof MARKS)[number], string>> = {
  corner: 'corners',
  centre: 'centres',
  register: 'register',
  colourBar: 'colour bar',
  slugLine: 'slug line',
  fold: 'fold ticks',
};

/** A printer: everything it asks for. What is left at 0 follows common practice. */
export function PrinterForm({ record, onKeep, ...rest }: FormProps<House>) {
  const { record: house, set, keep, problems } = useRecord(House, record, onKeep);
  const open = (name: keyof House) => set({ [name]: undefined });
  return (
    <RecordForm
      title={record.name || 'New printer'}
      canKeep={house.name.trim() !== ''}
      onKeep={keep}
      problems={problems}
      {...rest}
    >
      <TextField
        label="Name"
        value={house.name}
        autoFocus
        onChange={(event) => set({ name: event.target.value })}
        sx={{ gridColumn: '1 / -1' }}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 200 } }}
      />
      {LENGTHS.map(([name, label]) => {
        const value = house[name];
        const mm = typeof value === 'object' ? value.top : (value ?? 0);
        return (
          <LengthField
            key={name}
            label={label}
            width="100%"
            value={mm}
            unit="mm"
            ppi={300}
            {...(value === undefined && { hint: 'common practice' })}
            onChange={(to) => set({ [name]: name === 'bleed' || name === 'safe' ? all(to) : to })}
          />
        );
      })}
      {NUMBERS.map(([name, label, least, most, after]) => (
        <NumberField
          key={name}
          label={label}
          width="100%"
          value={house[name] ?? 0}
          least={0}
          most={most}
          after={after}
          {...(house[name] === undefined && { hint: 'common practice' })}
          onChange={(to) => (to < least ? open(name) : set({ [name]: to }))}
        />
      ))}
      <ChoiceField
        label="It prints by"
        width="100%"
        value={house.press ?? 'open'}
        options={[
          { value: 'open' as const, label: 'common practice' },
          ...PRESSES.map((p) => ({ value: p, label: p })),
        ]}
        onChange={(to) => (to === 'open' ? open('press') : set({ press: to }))}
      />
      <ChoiceField
        label="Panels differ"
        width="100%"
        value={house.allowance ?? 'open'}
        options={[
          { value: 'open', label: 'common practice' },
          { value: 'even', label: 'not at all' },
          { value: 'shift', label: 'by a fixed shift' },
          { value: 'thickness', label: 'by the paper' },
        ]}
        onChange={(to) => (to === 'open' ? open('allowance') : set({ allowance: to }))}
      />
      <ChoiceField
        label="Output profile"
        width="100%"
        value={house.profile ?? 'open'}
        options={[{ value: 'open' as const, label: 'by the paper' }, ...PROFILES.map((p) => ({ value: p, label: p }))]}
        onChange={(to) => (to === 'open' ? open('profile') : set({ profile: to }))}
      />
      <ChoiceField
        label="RGB colours"
        width="100%"
        value={house.rgb}
        options={[
          { value: 'convert', label: 'may be left to the export' },
          { value: 'refuse', label: 'are not wanted' },
        ]}
        onChange={(rgb) => set({ rgb })}
      />
      <ChoiceField
        label="Files"
        width="100%"
        value={house.standard ?? 'any'}
        options={[
          { value: 'any' as const, label: 'of any kind' },
          ...STANDARDS.map((standard) => ({ value: standard, label: `${standard} only` })),
        ]}
        onChange={(to) => (to === 'any' ? open('standard') : set({ standard: to }))}
      />
      <SheetsField value={house.sheets} onChange={(sheets) => set({ sheets })} />
      <Box role="group" aria-label="Marks it wants" sx={{ gridColumn: '1 / -1' }}>
        {MARKS.map((mark) => (
          <FormControlLabel
            key={mark}
            control={
              <Checkbox
                size="small"
                checked={house.marks[mark] ?? true}
                onChange={(event) => set({ marks: { ...house.marks, [mark]: event.target.checked } })}
              />
            }
            label={MARK_WORDS[mark]}
            slotProps={{ typography: { sx: { fontSize: 13.5 } } }}
          />
        ))}
      </Box>
      <ClosedDays house={house} onChange={set} />
      <PriceRows house={house} onChange={set} />
      <MachineRows house={house} onChange={set} />
      <LineRows house={house} onChange={set} />
      <CoatingRows house={house} onChange={set} />
    </RecordForm>
  );
}
