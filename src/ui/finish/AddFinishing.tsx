'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { elementsOn, paintsOf, pictureAsset, styleBook, type Finishing } from '@/core/job';
import { COATINGS, PROCESSES, type Coating, type Process } from '@/core/shop';
import { ChoiceField } from '../field/ChoiceField';
import { FileButton } from '../field/FileButton';
import { freshId } from '@/core/edit';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { api, wordsOf } from '../shell/api';
import { useSay } from '../shell/Messages';
import { readOutline } from '../shell/read-outline';
import { PROCESS_WORDS, TRACE_WORDS } from './words';

interface Props {
  readonly onAdd: (finishing: Finishing) => void;
}

const row = { display: 'flex', flexWrap: 'wrap', gap: 0.5, alignItems: 'center' } as const;

/** A coating over what is selected, over the shapes in a picture, over a colour, or all over. */
export function AddCoating({ onAdd }: Props) {
  const { job, piece, surface, rules } = useDesk();
  const selection = useJob((s) => s.selection);
  const say = useSay();
  const [coating, setCoating] = useState<Coating>('varnish-matt');
  const [busy, setBusy] = useState(false);
  const chosen = elementsOn(piece, surface.name).filter((e) => selection.includes(e.id));
  const [only] = chosen.length === 1 ? chosen : [];
  const shown = only?.kind === 'picture' && only.picture !== null ? { id: only.id, sha: only.picture } : undefined;
  const [paint] = only ? paintsOf(only, styleBook(job)) : [];
  const add = (of: Extract<Finishing, { does: 'coat' }>['of']) =>
    onAdd({ does: 'coat', id: freshId(), coating, of, spread: 0 });
  const trace = async ({ id, sha }: { id: string; sha: string }) => {
    const by = pictureAsset(job.assets, sha)?.alpha ? 'clear' : 'ground';
    const threshold = TRACE_WORDS[by].from;
    setBusy(true);
    try {
      const { shapes, count } = await api.shapes(sha, by, threshold);
      if (count === 0)
        say({ tone: 'problem', text: 'No shape stands out in this picture. Draw one over it and coat that.' });
      else add({ from: 'picture', element: id, by, threshold, shapes });
    } catch (error) {
      say({ tone: 'problem', text: wordsOf(error) });
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box role="group" aria-label="Add a coating" sx={{ display: 'grid', gap: 0.5 }}>
      <ChoiceField
        label="coat with"
        width="100%"
        value={coating}
        options={COATINGS.map((c) => ({ value: c, label: rules.coatings[c].title }))}
        onChange={setCoating}
      />
      <Box sx={row}>
        <Button
          size="small"
          variant="outlined"
          disabled={chosen.length === 0}
          onClick={() => add({ from: 'elements', elements: chosen.map((e) => e.id) })}
        >
          what is selected
        </Button>
        <Button size="small" variant="outlined" disabled={!shown || busy} onClick={() => shown && void trace(shown)}>
          {busy ? 'looking …' : 'the shapes in this picture'}
        </Button>
        <Button size="small" disabled={!paint} onClick={() => paint && add({ from: 'paint', paint })}>
          all of its colour
        </Button>
        <Button size="small" onClick={() => add({ from: 'artwork' })}>
          all that is printed
        </Button>
        <Button size="small" onClick={() => add({ from: 'side' })}>
          the whole side
        </Button>
        <Button size="small" onClick={() => onAdd({ does: 'flood', id: freshId(), coating })}>
          all over, as a note
        </Button>
      </Box>
    </Box>
  );
}

/** A process line along what is selected, at a value, in equal parts, or from a drawing. */
export function AddLine({ onAdd }: Props) {
  const { piece, surface } = useDesk();
  const selection = useJob((s) => s.selection);
  const say = useSay();
  const [process, setProcess] = useState<Process>('cut');
  const chosen = elementsOn(piece, surface.name).filter((e) => selection.includes(e.id));
  const add = (course: Extract<Finishing, { does: 'line' }>['course']) =>
    onAdd({ does: 'line', id: freshId(), process, course, past: 0 });
  const take = async (file: File) => {
    const read = await readOutline(file);
    if (read.ok) add({ course: 'drawing', path: read.outline });
    else say({ tone: 'problem', text: `${file.name}: ${read.problem}` });
  };
  return (
    <Box role="group" aria-label="Add a line" sx={{ display: 'grid', gap: 0.5 }}>
      <ChoiceField
        label="line to"
        width="100%"
        value={process}
        options={PROCESSES.map((p) => ({ value: p, label: PROCESS_WORDS[p].toLowerCase() }))}
        onChange={setProcess}
      />
      <Box sx={row}>
        <Button
          size="small"
          variant="outlined"
          disabled={chosen.length === 0}
          onClick={() => add({ course: 'outline', elements: chosen.map((e) => e.id), offset: 0 })}
        >
          along what is selected
        </Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() =>
            add({
              course: 'straight',
              way: 'level',
              against: { box: 'trim' },
              at: Math.round(surface.boxes.trim.height / 2),
            })
          }
        >
          straight
        </Button>
        <Button
          size="small"
          onClick={() => add({ course: 'divide', way: 'upright', against: { box: 'trim' }, into: 2 })}
        >
          in equal parts
        </Button>
        <FileButton asks="Line drawing, SVG or DXF" accept=".svg,.dxf" onFile={(file) => void take(file)}>
          from a file
        </FileButton>
      </Box>
    </Box>
  );
}
