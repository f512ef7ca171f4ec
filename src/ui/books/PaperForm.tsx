'use client';
import TextField from '@mui/material/TextField';
import { STOCKS, Stock } from '@/core/shop';
import { CheckField } from '../field/CheckField';
import { ChoiceField } from '../field/ChoiceField';
import { LengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import type { FormProps } from './form-props';
import { RecordForm, SheetsField } from './RecordForm';
import { useRecord } from './use-record';

/** A paper: what has to be known to fold, cut and weigh it. */
export function PaperForm({ record, onKeep, ...rest }: FormProps<Stock>) {
  const { record: paper, set, keep, problems } = useRecord(Stock, record, onKeep);
  return (
    <RecordForm
      title={record.name || 'New paper'}
      canKeep={paper.name.trim() !== ''}
      onKeep={keep}
      problems={problems}
      {...rest}
    >
      <TextField
        label="Name"
        value={paper.name}
        autoFocus
        onChange={(event) => set({ name: event.target.value })}
        sx={{ gridColumn: '1 / -1' }}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 200 } }}
      />
      <ChoiceField
        label="Surface"
        width="100%"
        value={paper.kind}
        options={STOCKS.map((s) => ({ value: s, label: s }))}
        onChange={(kind) => set({ kind })}
      />
      <NumberField
        label="Weight"
        width="100%"
        value={paper.grammage ?? 0}
        least={0}
        most={2000}
        after=" g/m²"
        hint="0 while it is not known"
        onChange={(n) => set({ grammage: n >= 10 ? n : null })}
      />
      <LengthField
        label="Thickness"
        width="100%"
        value={paper.thickness ?? 0}
        unit="mm"
        ppi={300}
        hint="0: worked out from the weight"
        refuse={(mm) => (mm !== 0 && (mm < 0.01 || mm > 10) ? 'From 0.01 to 10 mm.' : undefined)}
        onChange={(mm) => set({ thickness: mm === 0 ? null : mm })}
      />
      <NumberField
        label="Opacity"
        width="100%"
        value={paper.opacity ?? 0}
        least={0}
        most={100}
        after=" %"
        hint="0: worked out from the weight"
        onChange={(n) => set({ opacity: n > 0 ? n : undefined })}
      />
      <ChoiceField
        label="Grain"
        width="100%"
        value={paper.grain ?? 'unknown'}
        options={[
          { value: 'unknown', label: 'not known' },
          { value: 'long', label: 'along the long side' },
          { value: 'short', label: 'along the short side' },
        ]}
        onChange={(g) => set({ grain: g === 'unknown' ? null : g })}
      />
      <CheckField
        label="clear film"
        checked={paper.clear === true}
        onChange={(on) => set({ clear: on ? true : undefined })}
      />
      <TextField
        label="White"
        type="color"
        value={paper.white ?? '#ffffff'}
        onChange={(event) => set({ white: event.target.value })}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <SheetsField value={paper.sheets} onChange={(sheets) => set({ sheets })} />
    </RecordForm>
  );
}
