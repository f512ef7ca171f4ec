'use client';
import Box from '@mui/material/Box';
import Drawer from '@mui/material/Drawer';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { FORMATS, formatOf, type Format } from '@/core/format';
import { measuresTyped, startJob, takeHouse, takeStock, unitThoughtIn } from '@/core/job';
import type { JobUnit } from '@/core/measure';
import type { GalleryEntry } from '@/core/printable';
import { DecisionForm, askedOf, givenOf, type Asked, type Typed } from '../format/DecisionForm';
import { FormatGallery } from '../format/FormatGallery';
import { PrintableGallery } from '../printable/PrintableGallery';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { printableContent, startPrintable } from '@/core/edit';

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
}

/**
 * A side sheet that begins a job: its kind by picture, a name, and the decisions of that kind, as one would type them.
 */
export function NewJob({ open, onClose }: Props) {
  return (
    <Drawer anchor="right" open={open} onClose={onClose}>
      <Form onClose={onClose} />
    </Drawer>
  );
}

type Wall = 'pieces' | 'printables';

/** Of a printable its own decisions are asked, but for what lines look like, then its piece's. */
function askedOfEntry(entry: GalleryEntry): Asked {
  const format = formatOf(entry.piece?.kind ?? 'worksheet');
  const own = Object.entries(entry.of.parameters).filter(([, p]) => !p.aside);
  return { ...Object.fromEntries(own), ...(format && askedOf(format)) };
}

/** The decisions as typed so far: what is asked may depend on them. */
function decidedOf(entry: GalleryEntry, given: Typed, unit: JobUnit): Readonly<Record<string, unknown>> | undefined {
  const typed = Object.fromEntries(Object.entries(given).filter(([name]) => Object.hasOwn(entry.of.parameters, name)));
  const made = printableContent(entry, typed, unit);
  return made.ok ? made.content : undefined;
}

/** What is answered about a job before it is begun. */
interface Answers {
  readonly name: string;
  /** Decisions, as one would type them. */
  readonly typed: Typed;
  /** Names in the books; empty for none. */
  readonly house: string;
  readonly paper: string;
}

const NOTHING_YET: Answers = { name: '', typed: {}, house: '', paper: '' };

function Form({ onClose }: Pick<Props, 'onClose'>) {
  const [format, setFormat] = useState<Format | undefined>(FORMATS[0]);
  const [entry, setEntry] = useState<GalleryEntry>();
  const [wall, setWall] = useState<Wall>('pieces');
  const { control, setValue, handleSubmit, formState } = useForm<Answers>({ defaultValues: NOTHING_YET });
  const { name, typed, house, paper } = useWatch({ control, compute: (answers: Answers) => answers });
  const [sending, setSending] = useState(false);
  const { data: printers } = useQuery({ queryKey: ['printers'], queryFn: api.printers });
  const { data: papers } = useQuery({ queryKey: ['papers'], queryFn: api.papers });
  const router = useRouter();
  const say = useSay();
  if (!format) return null;

  const asked = entry ? askedOfEntry(entry) : askedOf(format);
  const given = givenOf(asked, typed);
  const unit = unitThoughtIn(measuresTyped(asked, given));
  const record = printers?.records.find((r) => r.name === house);
  const stock = papers?.records.find((r) => r.name === paper);
  const about = { id: 'new', name: name.trim() || `New ${(entry ?? format).title.toLowerCase()}`, unit };
  const shop = { ...(stock && { stock }), ...(record && { house: record }) };
  const started = entry ? startPrintable(entry, given, about, shop) : startJob(format, given, about, shop);

  const submit = handleSubmit(async () => {
    if (!started.ok) return;
    setSending(true);
    try {
      const housed = record ? takeHouse(started.job, record) : started.job;
      const made = await api.create(
        { ...(stock ? takeStock(housed, stock) : housed), id: crypto.randomUUID() },
        'Begun',
      );
      router.push(`/jobs/${made.id}?at=${entry ? 'lay-out' : 'size'}`);
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
      setSending(false);
    }
  });
  return (
    <DecisionForm
      gallery={
        <>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={wall}
            aria-label="What to begin with"
            onChange={(_, to: Wall | null) => to && setWall(to)}
            sx={{ mb: 1.5 }}
          >
            <ToggleButton value="pieces">Kinds of piece</ToggleButton>
            <ToggleButton value="printables">Printables</ToggleButton>
          </ToggleButtonGroup>
          {wall === 'pieces' ? (
            <FormatGallery
              chosen={entry ? undefined : format.kind}
              unit={unit}
              onChoose={(to) => {
                setEntry(undefined);
                setFormat(to);
              }}
            />
          ) : (
            <PrintableGallery chosen={entry?.id} onChoose={setEntry} />
          )}
        </>
      }
      asked={asked}
      about={(entry ?? format).about}
      decided={entry && decidedOf(entry, given, unit)}
      {...(entry && { kept: (key: string) => entry.decisions[key] ?? entry.piece?.[key] })}
      title={`New ${(entry ?? format).title.toLowerCase()}`}
      name={name}
      onName={(to) => setValue('name', to)}
      called="Meteor-night flyer"
      typed={typed}
      onType={(to) => setValue('typed', to)}
      unit={unit}
      started={started}
      shown={formState.isSubmitted}
      verb="Begin"
      sending={sending}
      onSubmit={() => void submit()}
      onClose={onClose}
      head={
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
          <Records
            label="Printer"
            none="not chosen yet"
            value={house}
            names={printers?.records.map((r) => r.name)}
            onChange={(to) => setValue('house', to)}
          />
          <Records
            label="Paper"
            none="not chosen yet"
            value={paper}
            names={papers?.records.map((r) => r.name)}
            onChange={(to) => setValue('paper', to)}
          />
        </Box>
      }
    />
  );
}

interface RecordsProps {
  readonly label: string;
  readonly none: string;
  readonly value: string;
  readonly names: readonly string[] | undefined;
  readonly onChange: (name: string) => void;
}

function Records({ label, none, value, names, onChange }: RecordsProps) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      <MenuItem value="" dense>
        {none}
      </MenuItem>
      {names?.map((n) => (
        <MenuItem key={n} value={n} dense>
          {n}
        </MenuItem>
      ))}
    </TextField>
  );
}
