'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useState, type SyntheticEvent } from 'react';
import { COMMON_PARAMETERS, FORMATS, type Format, type Parameter } from '@/core/format';
import { blankOf, startJob, takeHouse, takeStock, unitThoughtIn } from '@/core/job';
import { formatSize, formatNumber } from '@/core/measure';
import { TypedParameter } from '../field/TypedParameter';
import { FormatGallery } from '../format/FormatGallery';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { COLOURS, FACES } from '../shell/theme';

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
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [house, setHouse] = useState('');
  const [paper, setPaper] = useState('');
  const [shown, setShown] = useState(false);
  const [sending, setSending] = useState(false);
  const { data: printers } = useQuery({ queryKey: ['printers'], queryFn: api.printers });
  const { data: papers } = useQuery({ queryKey: ['papers'], queryFn: api.papers });
  const router = useRouter();
  const say = useSay();
  if (!format) return null;

  const asked: Readonly<Record<string, Parameter>> = {
    ...format.parameters,
    bleed: COMMON_PARAMETERS.bleed as unknown as Parameter,
  };
  const given = Object.fromEntries(
    Object.entries(typed).filter(([key, text]) => Object.hasOwn(asked, key) && text.trim() !== ''),
  );
  const unit = unitThoughtIn(Object.values(given));
  const record = printers?.records.find((r) => r.name === house);
  const stock = papers?.records.find((r) => r.name === paper);
  const about = { id: 'new', name: name.trim() || `New ${format.title.toLowerCase()}`, unit };
  const started = startJob(format, given, about, { ...(stock && { stock }), ...(record && { house: record }) });
  const blank = started.ok && started.job.pieces[0] ? blankOf(started.job, started.job.pieces[0]) : undefined;
  const values = started.ok ? (started.job.pieces[0] ?? {}) : given;

  const submit = async (event: SyntheticEvent) => {
    event.preventDefault();
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
  const errorOf = (key: string) =>
    !started.ok && started.parameter === key && (shown || (typed[key] ?? '').length > 1)
      ? started.error.message
      : undefined;
  const set = (key: string, text: string) => setTyped({ ...typed, [key]: text });

  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => void submit(event)}
      sx={{
        width: { xs: '100vw', sm: 'min(100vw, 920px)' },
        height: '100%',
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '1fr 400px' },
        overflow: { xs: 'auto', md: 'hidden' },
      }}
    >
      <Box sx={{ p: 2.5, overflowY: { md: 'auto' }, borderRight: `1px solid ${COLOURS.line}` }}>
        <FormatGallery chosen={format.kind} unit={unit} onChoose={setFormat} />
      </Box>
      <Box
        sx={{
          p: 2.5,
          display: 'grid',
          gap: 1.75,
          alignContent: 'start',
          gridAutoRows: 'max-content',
          overflowY: { md: 'auto' },
        }}
      >
        <div>
          <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
            New {format.title.toLowerCase()}
          </Box>
          <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{format.about}</Box>
        </div>
        <TextField
          label="Name"
          value={name}
          autoFocus
          onChange={(event) => setName(event.target.value)}
          placeholder="Meteor-night flyer"
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 200 } }}
        />
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
        {Object.entries(asked)
          .filter(([, p]) => !p.when || p.when(values))
          .map(([key, parameter]) => (
            <TypedParameter
              key={key}
              name={key}
              parameter={parameter}
              text={typed[key] ?? ''}
              imperial={unit === 'in'}
              error={errorOf(key)}
              {...(key === 'bleed' && { placeholder: unit === 'in' ? '1/8 in' : '3 mm' })}
              onChange={(text) => set(key, text)}
            />
          ))}
        <Box
          aria-live="polite"
          sx={{ bgcolor: COLOURS.sheet, p: 1.5, fontSize: 14, minHeight: 84, fontFamily: FACES.figure }}
        >
          {blank ? (
            <>
              <div>finished {formatSize(blank.finished, unit)}</div>
              {(blank.flat.width !== blank.finished.width || blank.flat.height !== blank.finished.height) && (
                <div>
                  {blank.scale === 1 ? 'flat' : `drawn 1:${formatNumber(blank.scale)}`} {formatSize(blank.flat, unit)}
                </div>
              )}
              <div>with bleed {formatSize(blank.withBleed, unit)}</div>
              <div>
                at {blank.pixels.ppi} ppi {blank.pixels.withBleed.width} × {blank.pixels.withBleed.height} px
              </div>
            </>
          ) : (
            'The sheet fills in as you type.'
          )}
        </Box>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button type="submit" variant="contained" disabled={sending}>
            Begin
          </Button>
          <Button onClick={onClose}>Leave it</Button>
        </Box>
      </Box>
    </Box>
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
