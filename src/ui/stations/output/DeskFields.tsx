'use client';
import Box from '@mui/material/Box';
import { deskSheet } from '@/core/impose';
import { deskRequest, usualDesk, type DeskOutput } from '@/core/job';
import { formatLength, formatSize } from '@/core/measure';
import { readSize } from '@/core/paper';
import { CheckField } from '../../field/CheckField';
import { ChoiceField } from '../../field/ChoiceField';
import { LengthField } from '../../field/LengthField';
import { MeasureField } from '../../field/MeasureField';
import { useJob } from '../../open-job/context';
import { useDesk } from '../../open-job/use-desk';
import { FACES } from '../../shell/theme';
import { Group } from '../../slip/Slip';

/** How the piece lies on the sheets of a desk printer. */
export function DeskFields() {
  const { job, surface, blank } = useDesk();
  const change = useJob((s) => s.change);
  const desk = job.output.desk ?? usualDesk(job);
  const set = (label: string, to: Partial<DeskOutput>) =>
    change(`Desk sheet: ${label}`, (now) => ({ ...now, output: { ...now.output, desk: { ...desk, ...to } } }));
  const write = (mm: number) => formatLength(mm, job.unit);
  const laid = deskSheet(deskRequest(job, surface.boxes.trim), write);
  const many = (name: 'across' | 'down') => (
    <MeasureField<number | undefined>
      label={name}
      name={`desk-${name}`}
      width={64}
      shown={desk[name] === undefined ? '' : String(desk[name])}
      placeholder={laid.ok ? String(laid.sheet[name]) : 'all'}
      read={(text) => {
        const n = Number(text.trim());
        if (text.trim() === '') return { ok: true, value: undefined };
        return Number.isInteger(n) && n >= 1 && n <= 100
          ? { ok: true, value: n }
          : {
              ok: false,
              error: { at: 0, length: text.length, message: 'A whole number from 1 to 100; left out, as many as fit.' },
            };
      }}
      onChange={(n) => set(name, { [name]: n })}
    />
  );
  return (
    <Group title="Desk sheet" term="up">
      <MeasureField
        label="paper"
        name="desk-paper"
        width={132}
        shown={formatSize(desk.sheet, job.unit)}
        read={(text) => readSize(text, { unit: job.unit, ppi: 300 })}
        refuse={(size) =>
          Math.min(size.width, size.height) < 50 || Math.max(size.width, size.height) > 2000
            ? 'A sheet is from 50 mm to 2 m on each side.'
            : undefined
        }
        onChange={(sheet) => set('paper', { sheet })}
      />
      <LengthField
        unit={job.unit}
        ppi={300}
        label="white rim"
        value={desk.edge}
        width={84}
        onChange={(edge) => set('rim', { edge })}
      />
      <LengthField
        unit={job.unit}
        ppi={300}
        label="gap"
        value={desk.gap}
        width={84}
        onChange={(gap) => set('gap', { gap })}
      />
      <LengthField
        unit={job.unit}
        ppi={300}
        label="bleed kept"
        value={desk.bleed}
        width={84}
        onChange={(bleed) => set('bleed', { bleed })}
      />
      {many('across')}
      {many('down')}
      <ChoiceField
        label="each sheet"
        width={148}
        value={desk.fill}
        options={[
          { value: 'same', label: 'one side, repeated' },
          { value: 'each', label: 'sides in their order' },
        ]}
        onChange={(fill) => set('filling', { fill })}
      />
      <LengthField
        unit={job.unit}
        ppi={300}
        label="tiles overlap"
        value={desk.overlap}
        width={100}
        onChange={(overlap) => set('overlap', { overlap })}
      />
      {blank.bound === 'saddle' && (
        <ChoiceField
          label="sheets turned along"
          width={148}
          value={desk.flip ?? 'short'}
          options={[
            { value: 'short', label: 'the short edge' },
            { value: 'long', label: 'the long edge' },
          ]}
          onChange={(flip) => set('turning', { flip })}
        />
      )}
      <CheckField label="cut marks" checked={desk.marks} onChange={(marks) => set('marks', { marks })} />
      <Box
        role="status"
        title={laid.ok ? laid.sheet.working.join('\n') : undefined}
        sx={{
          fontFamily: FACES.figure,
          fontSize: 13,
          pb: 0.5,
          color: laid.ok ? 'inherit' : 'error.main',
          maxWidth: 360,
        }}
      >
        {laid.ok
          ? `${laid.sheet.places.length} up: ${laid.sheet.across} × ${laid.sheet.down} on ` +
            formatSize(laid.sheet.sheet, job.unit)
          : laid.message}
      </Box>
    </Group>
  );
}
