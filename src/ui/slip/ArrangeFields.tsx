'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useState } from 'react';
import { type Edge } from '@/core/layout';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { alignSelection, arrangements, distributeSelection, withJob, type Reference } from '@/core/edit';
import { Opener } from './Opener';
import { Group } from './Slip';

const EDGES: readonly { readonly edge: Edge; readonly label: string }[] = [
  { edge: 'left', label: 'left' },
  { edge: 'centre', label: 'centre' },
  { edge: 'right', label: 'right' },
  { edge: 'top', label: 'top' },
  { edge: 'middle', label: 'middle' },
  { edge: 'bottom', label: 'bottom' },
];

/** A door to aligning and distributing, so that the slip stays low. */
export const ArrangeFields = () => (
  <Opener label="Align" width={440}>
    <Arrangement />
  </Opener>
);

/** Align and distribute against a chosen box or element. */
function Arrangement() {
  const desk = useDesk();
  const selection = useJob((s) => s.selection);
  const change = useJob((s) => s.change);
  const [chosen, setChosen] = useState<string>('trim');
  const others = desk.drawing.frames.filter((f) => !selection.includes(f.element) || selection.length > 1);
  const reference: Reference =
    chosen === 'trim' || chosen === 'safe' || chosen === 'bleed' ? { box: chosen } : { element: chosen };
  const isThere = 'box' in reference || others.some((f) => f.element === chosen);
  const against: Reference = isThere ? reference : { box: 'trim' };
  const many = selection.length > 2;
  return (
    <Group title="Align and distribute">
      <TextField
        select
        label="against"
        sx={{ width: 120 }}
        value={isThere ? chosen : 'trim'}
        onChange={(event) => setChosen(event.target.value)}
        slotProps={{ inputLabel: { shrink: true } }}
      >
        {['trim', 'safe', 'bleed'].map((box) => (
          <MenuItem key={box} value={box} dense>
            {box}
          </MenuItem>
        ))}
        {others.map((f) => (
          <MenuItem key={f.element} value={f.element} dense>
            {f.name}
          </MenuItem>
        ))}
      </TextField>
      <ButtonGroup size="small" aria-label="Align">
        {EDGES.map(({ edge, label }) => (
          <Button
            key={edge}
            aria-label={`Align ${label}`}
            onClick={() =>
              change(`Align ${label}`, (now) => alignSelection(withJob(desk, now), selection, against, edge))
            }
            sx={{ px: 0.75, fontSize: 12 }}
          >
            {label}
          </Button>
        ))}
      </ButtonGroup>
      {many && (
        <ButtonGroup size="small" aria-label="Equal gaps">
          <Button
            onClick={() =>
              change('Equal gaps across', (now) => distributeSelection(withJob(desk, now), selection, 'x', undefined))
            }
            sx={{ fontSize: 12 }}
          >
            gaps across
          </Button>
          <Button
            onClick={() =>
              change('Equal gaps down', (now) => distributeSelection(withJob(desk, now), selection, 'y', undefined))
            }
            sx={{ fontSize: 12 }}
          >
            gaps down
          </Button>
          <Button
            onClick={() =>
              change('Spread across', (now) => distributeSelection(withJob(desk, now), selection, 'x', against))
            }
            sx={{ fontSize: 12 }}
          >
            spread across
          </Button>
          <Button
            onClick={() =>
              change('Spread down', (now) => distributeSelection(withJob(desk, now), selection, 'y', against))
            }
            sx={{ fontSize: 12 }}
          >
            spread down
          </Button>
        </ButtonGroup>
      )}
      <InWords />
    </Group>
  );
}

/** Arrangements as one would ask for them; what is pointed at is shown on the bench before it is done. */
function InWords() {
  const desk = useDesk();
  const selection = useJob((s) => s.selection);
  const change = useJob((s) => s.change);
  const preview = useJob((s) => s.preview);
  const asked = arrangements(desk, selection);
  // What is shown goes with the list.
  useEffect(() => () => preview(undefined), [preview]);
  if (asked.length === 0) return null;
  return (
    <Box
      component="ul"
      aria-label="In words"
      onPointerLeave={() => preview(undefined)}
      sx={{ m: 0, p: 0, listStyle: 'none', flexBasis: '100%', display: 'grid' }}
    >
      {asked.map(({ id, words, recipe }) => (
        <li key={id}>
          <Button
            size="small"
            onPointerEnter={() => preview(recipe)}
            onFocus={() => preview(recipe)}
            onBlur={() => preview(undefined)}
            onClick={() => change(sentence(words), recipe)}
            sx={{ textAlign: 'left', minHeight: 28 }}
          >
            {words}
          </Button>
        </li>
      ))}
    </Box>
  );
}

const sentence = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
