'use client';
import Box from '@mui/material/Box';
import Drawer from '@mui/material/Drawer';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FORMATS, type Format } from '@/core/format';
import { startJob, takeHouse, takeStock, unitThoughtIn } from '@/core/job';
import { DecisionForm, givenOf, type Typed } from '../format/DecisionForm';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';

interface Props {
  readonly open: boolean;
  readonly onClose: () => void;
}

/** A side sheet that begins a job: its kind by picture, a name, and the decisions of that kind, as one would type them. */
export function NewJob({ open, onClose }: Props) {
  return (
    <Drawer anchor="right" open={open} onClose={onClose}>
      <Form onClose={onClose} />
    </Drawer>
  );
}

function Form({ onClose }: Pick<Props, 'onClose'>) {
  const [format, setFormat] = useState<Format | undefined>(FORMATS[0]);
  const [name, setName] = useState('');
  const [typed, setTyped] = useState<Typed>({});
  const [house, setHouse] = useState('');
  const [paper, setPaper] = useState('');
  const [shown, setShown] = useState(false);
  const [sending, setSending] = useState(false);
  const { data: printers } = useQuery({ queryKey: ['printers'], queryFn: api.printers });
  const { data: papers } = useQuery({ queryKey: ['papers'], queryFn: api.papers });
  const router = useRouter();
  const say = useSay();
  if (!format) return null;

  const given = givenOf(format, typed);
  const unit = unitThoughtIn(Object.values(given));
  const record = printers?.records.find((r) => r.name === house);
  const stock = papers?.records.find((r) => r.name === paper);
  const about = { id: 'new', name: name.trim() || `New ${format.title.toLowerCase()}`, unit };
  const started = startJob(format, given, about, { ...(stock && { stock }), ...(record && { house: record }) });

  const submit = async () => {
    setShown(true);
    if (!started.ok) return;
    setSending(true);
    try {
      const housed = record ? takeHouse(started.job, record) : started.job;
      const made = await api.create(
        { ...(stock ? takeStock(housed, stock) : housed), id: crypto.randomUUID() },
        'Begun',
      );
      router.push(`/jobs/${made.id}?at=size`);
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
      setSending(false);
    }
  };
  return (
    <DecisionForm
      format={format}
      onFormat={setFormat}
      title={`New ${format.title.toLowerCase()}`}
      name={name}
      onName={setName}
      called="Meteor-night flyer"
      typed={typed}
      onType={setTyped}
      unit={unit}
      started={started}
      shown={shown}
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
            onChange={setHouse}
          />
          <Records
            label="Paper"
            none="not chosen yet"
            value={paper}
            names={papers?.records.map((r) => r.name)}
            onChange={setPaper}
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
    <TextField select label={label} value={value} onChange={(event) => onChange(event.target.value)} slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}>
      <MenuItem value="" dense>
        {none}
      </MenuItem>
      {names?.map((n) => (
        <MenuItem key={n} value={n} dense>
          {n}
        </MenuItem>
      ))}
    </TextField>
  ); // prettier-ignore
}
