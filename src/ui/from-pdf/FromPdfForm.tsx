'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import FormControl from '@mui/material/FormControl';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import {
  beginFromDocument,
  kindsFor,
  ownBleed,
  pieceOf,
  sizeOf,
  usualBeyond,
  wantedBleed,
  type BroughtDocument,
} from '@/core/edit';
import type { Beyond } from '@/core/element';
import { blankOf, takeHouse, unitThoughtIn } from '@/core/job';
import { counted } from '@/core/measure';
import type { House } from '@/core/shop';
import type { NearEdge } from '@/intake';
import { ChoiceField } from '../field/ChoiceField';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { BEYOND_WORDS, edgeWords } from './edge-words';
import { SidePicture } from './SidePicture';

export type Brought = BroughtDocument;

interface Props {
  readonly brought: Brought;
  /** What stands near the edges of its pages. */
  readonly near: readonly NearEdge[];
  readonly house: House | undefined;
  readonly printers: readonly string[];
  readonly onHouse: (name: string) => void;
  readonly onClose: () => void;
}

const WAYS: readonly Beyond[] = ['own', 'mirrored', 'stretched', 'nothing'];

/** What a job from a PDF is to be, and what its bleed would look like. */
export function FromPdfForm({ brought, near, house, printers, onHouse, onClose }: Props) {
  const { asset } = brought;
  const kinds = kindsFor(asset.pages.length);
  const [kind, setKind] = useState(kinds.find((f) => f.kind === 'flyer')?.kind ?? kinds[0]?.kind ?? 'flyer');
  const [name, setName] = useState(asset.name.replace(/\.pdf$/i, ''));
  const [size, setSize] = useState(sizeOf(asset));
  const [way, setWay] = useState<Beyond>();
  const [sending, setSending] = useState(false);
  const router = useRouter();
  const say = useSay();
  const started = useMemo(() => {
    const about = { id: 'new', name: name.trim() || asset.name, unit: unitThoughtIn([size]) };
    const begun = beginFromDocument(brought, { kind, size, beyond: way }, about, house && { house });
    return begun.ok && house ? { ...begun, job: takeHouse(begun.job, house) } : begun;
  }, [brought, asset.name, name, kind, size, way, house]);
  const has = ownBleed(asset);
  const wanted = started.ok ? wantedBleed(started.job) : 0;
  const beyond = way ?? usualBeyond(asset, wanted);
  const [first = { width: 1, height: 1 }] = asset.pages;
  const words = edgeWords(near, beyond, { ...first, bleed: wanted });
  const side = started.ok ? blankOf(started.job, pieceOf(started.job)).surfaces[0]?.name : undefined;
  const others = asset.pages.filter(
    (page) => Math.abs(page.width - first.width) > 0.1 || Math.abs(page.height - first.height) > 0.1,
  ).length;

  const begin = async () => {
    if (!started.ok) return;
    setSending(true);
    try {
      const made = await api.create({ ...started.job, id: crypto.randomUUID() }, `Begun from ${asset.name}`);
      router.push(`/jobs/${made.id}?at=inspect`);
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
      setSending(false);
    }
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void begin();
      }}
    >
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: { md: '300px 1fr' }, gap: 3, pt: 1 }}>
        <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <TextField label="Name" value={name} onChange={(event) => setName(event.target.value)} />
          <ChoiceField
            label="Kind of piece"
            width="100%"
            value={kind}
            options={kinds.map((format) => ({ value: format.kind, label: format.title }))}
            onChange={setKind}
          />
          <TextField
            label="Finished size"
            value={size}
            onChange={(event) => setSize(event.target.value)}
            error={!started.ok}
            helperText={
              started.ok ? (
                `${counted(asset.pages.length, 'page')}, drawn to this size`
              ) : (
                <span role="alert">{started.error.message}</span>
              )
            }
          />
          <ChoiceField
            label="Printer"
            width="100%"
            value={house?.name ?? ''}
            options={[
              { value: '', label: 'not chosen yet' },
              ...printers.map((printer) => ({ value: printer, label: printer })),
            ]}
            onChange={onHouse}
          />
          <FormControl>
            <FormLabel id="beyond-label">In the bleed</FormLabel>
            <RadioGroup
              aria-labelledby="beyond-label"
              value={beyond}
              onChange={(event) => setWay(event.target.value as Beyond)}
            >
              {WAYS.map((one) => (
                <FormControlLabel
                  key={one}
                  value={one}
                  disabled={one === 'own' && has <= 0}
                  control={<Radio size="small" />}
                  label={`${BEYOND_WORDS[one]}${one === 'own' ? ` (${has.toFixed(1)} mm)` : ''}`}
                />
              ))}
            </RadioGroup>
          </FormControl>
        </Box>
        <Box sx={{ display: 'grid', gap: 1.5, alignContent: 'start', minWidth: 0 }}>
          {started.ok && side !== undefined && (
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
              <SidePicture job={started.job} side={side} part="whole" height={300} />
              <SidePicture job={started.job} side={side} part="corner" height={300} />
            </Box>
          )}
          <Box component="ul" aria-label="What the bleed does" sx={{ m: 0, pl: 2.5, fontSize: 14, minHeight: 60 }}>
            {beyond === 'own' && has < wanted - 0.01 && (
              <li>
                The file goes on by {has.toFixed(1)} mm; {wanted} mm are wanted.
              </li>
            )}
            {beyond === 'nothing' && (
              <li>Paper shows where the knife is off. Only for pages that are white all round.</li>
            )}
            {words.map((line) => (
              <li key={line}>{line}</li>
            ))}
            {(beyond === 'mirrored' || beyond === 'stretched') && words.length === 0 && (
              <li>Nothing stands so near an edge that it would be seen.</li>
            )}
          </Box>
          {others > 0 && (
            <Alert severity="info">{counted(others, 'page')} of another size: set in the middle of its side.</Alert>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button type="submit" variant="contained" disabled={!started.ok || sending}>
          Begin
        </Button>
      </DialogActions>
    </form>
  );
}
