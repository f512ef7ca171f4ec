'use client';
import Box from '@mui/material/Box';
import Paper from '@mui/material/Paper';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';
import { useQuery } from '@tanstack/react-query';
import { STAGES, takeHouse, takeStock, type Job } from '@/core/job';
import { STOCKS } from '@/core/shop';
import { LANGUAGES } from '@/core/type';
import { JOB_UNITS, formatNumber } from '@/core/measure';
import { ChoiceField } from '../../field/ChoiceField';
import { DateField } from '../../field/DateField';
import { LengthField } from '../../field/LengthField';
import { NumberField } from '../../field/NumberField';
import { readWords, useDraft } from '../../field/use-draft';
import { useJob } from '../../open-job/context';
import { proposalFor } from '../../open-job/proposal';
import { Proposed } from '../../open-job/Proposed';
import { useDesk } from '../../open-job/use-desk';
import { api } from '../../shell/api';
import { FromBook } from './FromBook';
import { KitFields } from './KitFields';
import { Lessons } from './Lessons';
import { TemplateFields } from './TemplateFields';

/** A change that is shown before it is taken. */
type Offer = (label: string, recipe: (job: Job) => Job) => void;

/** What the piece is for, and what the printer asks: a form on paper, each line saved as it is left. */
export function BriefForm() {
  const { job, resources } = useDesk();
  const change = useJob((s) => s.change);
  const propose = useJob((s) => s.propose);
  const kept = useJob((s) => s.job);
  // A proposal begins from the job as it is kept, not from one that is only shown.
  const offer: Offer = (label, recipe) => propose(proposalFor(label, kept, recipe, resources));
  return (
    <Box sx={{ flex: 1, overflowY: 'auto', p: 3 }}>
      <Paper sx={{ maxWidth: 820, mx: 'auto', p: 4, boxShadow: '0 3px 12px rgb(27 35 52 / 0.15)' }}>
        <Box sx={{ position: 'sticky', top: -8, zIndex: 1 }}>
          <Proposed />
        </Box>
        <Lessons />
        <JobSection onOffer={offer} />
        <PaperSection onOffer={offer} />
        <PrinterSection onOffer={offer} />
        <UseSection />
        <Words
          label="Notes"
          value={job.notes}
          lines={3}
          onChange={(notes) => change('Notes', (now) => ({ ...now, notes }))}
        />
      </Paper>
    </Box>
  );
}

interface SectionProps {
  readonly onOffer: Offer;
}

function JobSection({ onOffer }: SectionProps) {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  return (
    <Section title="The job">
      <Words
        label="Name"
        value={job.name}
        required
        onChange={(name) => change('Name the job', (now) => ({ ...now, name }))}
      />
      <Words label="Client" value={job.client} onChange={(client) => change('Client', (now) => ({ ...now, client }))} />
      <DateField
        label="Due"
        isClearable
        value={job.due}
        onChange={(due) => change('Due date', (now) => ({ ...now, due }), 'due')}
      />
      <NumberField
        label="Copies"
        value={job.quantity ?? 0}
        least={0}
        most={100_000_000}
        whole
        width="100%"
        onChange={(n) => change('Copies', (now) => ({ ...now, quantity: n === 0 ? null : n }))}
      />
      <ChoiceField
        label="Stands at"
        width="100%"
        value={job.stage}
        options={STAGES.map((s) => ({ value: s, label: s }))}
        onChange={(stage) => change('Stage', (now) => ({ ...now, stage }))}
      />
      <ChoiceField
        label="Language of the text"
        width="100%"
        value={job.language}
        options={LANGUAGES.map((l) => ({ value: l.tag, label: l.name }))}
        onChange={(tag) => change('Language', (now) => ({ ...now, language: tag }))}
      />
      <KitFields onTake={onOffer} />
      <TemplateFields />
    </Section>
  );
}

function PaperSection({ onOffer }: SectionProps) {
  const { job, rules } = useDesk();
  const change = useJob((s) => s.change);
  const { stock } = job;
  const { data: papers } = useQuery({ queryKey: ['papers'], queryFn: api.papers });
  return (
    <Section title="Paper">
      <FromBook
        label="From the shop’s papers"
        chosen={stock.name}
        records={papers?.records}
        onChoose={(record) => onOffer(`Take ${record.name}`, (now) => takeStock(now, record))}
      />
      <Words
        label="Stock"
        value={stock.name}
        onChange={(name) => change('Stock', (now) => ({ ...now, stock: { ...now.stock, name } }))}
      />
      <ChoiceField
        label="Surface"
        width="100%"
        value={stock.kind}
        options={STOCKS.map((s) => ({ value: s, label: s }))}
        onChange={(kind) => change('Stock', (now) => ({ ...now, stock: { ...now.stock, kind } }))}
      />
      <NumberField
        label="Weight"
        value={stock.grammage ?? 0}
        least={0}
        most={2000}
        width="100%"
        after=" g/m²"
        onChange={(n) =>
          change('Paper weight', (now) => ({ ...now, stock: { ...now.stock, grammage: n >= 10 ? n : null } }))
        }
        hint="0 while it is open"
      />
      <LengthField
        label="Thickness of a sheet"
        value={stock.thickness ?? 0}
        unit="mm"
        ppi={300}
        width="100%"
        hint={stock.thickness === null ? `by weight: ${formatNumber(rules.thickness.value)} mm` : '0: by weight'}
        refuse={(mm) => (mm !== 0 && (mm < 0.01 || mm > 10) ? 'From 0.01 to 10 mm.' : undefined)}
        onChange={(mm) =>
          change('Paper thickness', (now) => ({ ...now, stock: { ...now.stock, thickness: mm === 0 ? null : mm } }))
        }
      />
      <ChoiceField
        label="Grain"
        width="100%"
        value={stock.grain ?? 'unknown'}
        options={[
          { value: 'unknown', label: 'not known' },
          { value: 'long', label: 'along the long side' },
          { value: 'short', label: 'along the short side' },
        ]}
        onChange={(g) =>
          change('Grain', (now) => ({ ...now, stock: { ...now.stock, grain: g === 'unknown' ? null : g } }))
        }
      />
    </Section>
  );
}

function PrinterSection({ onOffer }: SectionProps) {
  const { job, rules } = useDesk();
  const change = useJob((s) => s.change);
  const { house } = job;
  const { data: printers } = useQuery({ queryKey: ['printers'], queryFn: api.printers });
  return (
    <Section
      title="The printer"
      note={
        'Ask before you start: size, bleed, limits. What is left open follows common practice, and the ' +
        'sheet says so.'
      }
    >
      <FromBook
        label="From the shop’s printers"
        chosen={house.name}
        records={printers?.records}
        onChoose={(record) => onOffer(`Give it to ${record.name}`, (now) => takeHouse(now, record))}
      />
      <Words
        label="House"
        value={house.name}
        onChange={(name) => change('Printer', (now) => ({ ...now, house: { ...now.house, name } }))}
      />
      <ChoiceField
        label="RGB colours"
        width="100%"
        value={house.rgb}
        options={[
          { value: 'convert', label: 'may be left to the export' },
          { value: 'refuse', label: 'are not wanted' },
        ]}
        onChange={(rgb) => change('RGB rule', (now) => ({ ...now, house: { ...now.house, rgb } }))}
      />
      <NumberField
        label="Smallest reversed type"
        value={rules.minReversedTypePt.value}
        least={1}
        most={100}
        width="100%"
        after=" pt"
        onChange={(pt) =>
          change('Smallest reversed type', (now) => ({ ...now, house: { ...now.house, minReversedTypePt: pt } }))
        }
      />
    </Section>
  );
}

function UseSection() {
  const { job } = useDesk();
  const change = useJob((s) => s.change);
  return (
    <Section title="How it is used">
      <LengthField
        label="Read from"
        value={job.readingDistance}
        unit="mm"
        ppi={300}
        width="100%"
        hint="decides the resolution"
        onChange={(mm) =>
          change('Reading distance', (now) => ({ ...now, readingDistance: Math.min(Math.max(mm, 50), 100_000) }))
        }
      />
      <ChoiceField
        label="Unit of a bare number"
        width="100%"
        value={job.unit}
        options={JOB_UNITS.map((u) => ({ value: u, label: u }))}
        onChange={(unit) => change('Unit', (now) => ({ ...now, unit }))}
      />
      <LengthField
        label="Nudge and rounding step"
        value={job.step}
        unit={job.unit}
        ppi={300}
        width="100%"
        onChange={(mm) => change('Step', (now) => ({ ...now, step: Math.min(Math.max(mm, 0.001), 100) }))}
      />
    </Section>
  );
}

function Section({
  title,
  note,
  children,
}: {
  readonly title: string;
  readonly note?: string;
  readonly children: ReactNode;
}) {
  return (
    <Box component="section" sx={{ mb: 3 }}>
      <Box component="h2" sx={{ m: 0, mb: note ? 0 : 1.25, typography: 'h3' }}>
        {title}
      </Box>
      {note && <Box sx={{ fontSize: 13, color: 'text.secondary', mb: 1.25 }}>{note}</Box>}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(220px, 1fr))',
          columnGap: 3,
          rowGap: 1.5,
        }}
      >
        {children}
      </Box>
    </Box>
  );
}

interface WordsProps {
  readonly label: string;
  readonly value: string;
  readonly required?: boolean;
  readonly lines?: number;
  readonly onChange: (text: Job['name']) => void;
}

/** A line of words, taken when it is left or with Enter. */
function Words({ label, value, required = false, lines = 1, onChange }: WordsProps) {
  const { error, field } = useDraft({
    shown: value,
    read: readWords,
    refuse: (text) =>
      required && text.trim() === '' ? 'A name is needed, so that the job can be found again.' : undefined,
    onTake: onChange,
    takenBy: lines === 1 ? 'enter' : 'leaving',
  });
  return (
    <TextField
      label={label}
      fullWidth
      multiline={lines > 1}
      minRows={lines}
      {...field}
      error={error !== undefined}
      helperText={error?.message}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: lines > 1 ? 10_000 : 200 } }}
    />
  );
}
