'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Drawer from '@mui/material/Drawer';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState, type SyntheticEvent } from 'react';
import { FORMATS, blankOf, startJob, unitThoughtIn, type Parameter } from '@/core/format';
import { formatSize } from '@/core/measure';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { COLOURS, FACES } from '../shell/theme';

/** Decisions asked for at the start; the rest has good defaults and stands under Size. */
const ASKED = ['size', 'sides', 'bleed'];

/** A side sheet that begins a job: a name, and the few decisions of its format, as one would type them. */
export function NewJob({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  return (
    <Drawer anchor="right" open={open} onClose={onClose}>
      <Form onClose={onClose} />
    </Drawer>
  );
}

function Form({ onClose }: { readonly onClose: () => void }) {
  const [format] = FORMATS;
  const [name, setName] = useState('');
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [shown, setShown] = useState(false);
  const [sending, setSending] = useState(false);
  const router = useRouter();
  const say = useSay();
  if (!format) return null;

  const given = Object.fromEntries(Object.entries(typed).filter(([, text]) => text.trim() !== ''));
  const unit = unitThoughtIn(given['size'] ?? '');
  const about = { id: 'new', name: name.trim() || 'New flyer', unit };
  const started = startJob(format, given, about);
  const blank = started.ok && started.job.pieces[0] ? blankOf(started.job, started.job.pieces[0]) : undefined;

  const submit = async (event: SyntheticEvent) => {
    event.preventDefault();
    setShown(true);
    if (!started.ok) return;
    setSending(true);
    try {
      const made = await api.create({ ...started.job, id: crypto.randomUUID() }, 'Begun');
      router.push(`/jobs/${made.id}`);
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
      setSending(false);
    }
  };
  const errorOf = (parameter: Parameter) =>
    !started.ok && started.parameter === parameter.name && (shown || (typed[parameter.name] ?? '').length > 1)
      ? started.error.message
      : undefined;

  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => void submit(event)}
      sx={{ width: { xs: '100vw', sm: 420 }, p: 3, display: 'grid', gap: 2.25, alignContent: 'start' }}
    >
      <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
        New {format.title.toLowerCase()}
      </Box>
      <TextField
        label="Name"
        value={name}
        autoFocus
        onChange={(event) => setName(event.target.value)}
        placeholder="Meteor-night flyer"
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 200 } }}
      />
      {format.parameters
        .filter((p) => ASKED.includes(p.name))
        .map((parameter) => (
          <TextField
            key={parameter.name}
            label={parameter.label}
            name={parameter.name}
            autoComplete="off"
            value={typed[parameter.name] ?? ''}
            placeholder={parameter.name === 'bleed' && unit === 'in' ? '1/8 in' : parameter.default}
            onChange={(event) => setTyped({ ...typed, [parameter.name]: event.target.value })}
            error={errorOf(parameter) !== undefined}
            helperText={errorOf(parameter) ?? parameter.help}
            slotProps={{ inputLabel: { shrink: true }, htmlInput: { style: { fontFamily: FACES.figure } } }}
          />
        ))}
      <Box
        aria-live="polite"
        sx={{ bgcolor: COLOURS.sheet, p: 1.5, fontSize: 14, minHeight: 84, fontFamily: FACES.figure }}
      >
        {blank ? (
          <>
            <div>finished {formatSize(blank.finished, unit)}</div>
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
  );
}
