'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useMutation } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useId, useState } from 'react';
import { LEVELS, type Level } from '@/core/spoil';
import { NumberField } from '../field/NumberField';
import { api, wordsOf, type PracticeFacts, type RoundWish } from '../shell/api';
import { RoomHeading } from './RoomHeading';

const LEVEL_WORDS: Readonly<Record<Level, string>> = {
  1: 'Seen at a glance: what is missing, cut off, or not in its place.',
  2: 'Seen by who knows the trade: bleed, resolution, ink, codes.',
  3: 'Found on plates, in figures and in the pile: coatings, holes, hairlines.',
  4: 'Found only by who looks for it: traps, kits, what lies twice.',
};

const MOST_FAULTS = 5;
const ANY = '';

interface Props {
  readonly name: string;
  readonly pieces: PracticeFacts['pieces'];
  readonly isReady: boolean;
}

/** Has a piece spoilt, and opens it on the bench. */
export function BeginRound({ name, pieces, isReady }: Props) {
  const [level, setLevel] = useState<Level>(1);
  const [faults, setFaults] = useState(3);
  const [job, setJob] = useState(ANY);
  const label = useId();
  const router = useRouter();
  const begin = useMutation({
    mutationFn: (wish: RoundWish) => api.beginRound(wish),
    onSuccess: ({ id }) => router.push(`/practice/${id}`),
  });
  const wish = { learner: name, level, faults, ...(job !== ANY && { job }) };
  return (
    <section aria-labelledby={label}>
      <RoomHeading id={label}>Find what is wrong</RoomHeading>
      <Box sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}>
        <div>A piece of yours is copied and spoilt; the job itself stays as it is.</div>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Level"
          value={level}
          onChange={(_event, to: Level | null) => to && setLevel(to)}
        >
          {LEVELS.map((one) => (
            <ToggleButton key={one} value={one} sx={{ px: 2 }}>
              Level {one}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box role="status" sx={{ fontSize: 14 }}>
          {LEVEL_WORDS[level]}
        </Box>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-end' }}>
          <NumberField
            label="faults"
            width={84}
            whole
            value={faults}
            least={1}
            most={MOST_FAULTS}
            onChange={(to) => setFaults(to)}
          />
          <TextField
            select
            label="piece"
            value={job}
            onChange={(event) => setJob(event.target.value)}
            sx={{ width: 260 }}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          >
            <MenuItem value={ANY}>Any of them</MenuItem>
            {pieces.map((piece) => (
              <MenuItem key={piece.id} value={piece.id}>
                {piece.name}
              </MenuItem>
            ))}
          </TextField>
        </Box>
        <Button
          variant="contained"
          disabled={!isReady || name === '' || pieces.length === 0}
          loading={begin.isPending || begin.isSuccess}
          onClick={() => begin.mutate(wish)}
        >
          Begin a round
        </Button>
        {begin.isPending && <div role="status">A piece is being spoilt …</div>}
        {isReady && name === '' && <div>Say who practises, above.</div>}
        {isReady && pieces.length === 0 && (
          <div>There is no piece with something laid out yet: lay out a job first, or start with the demo’s data.</div>
        )}
        {begin.error && <Alert severity="error">{wordsOf(begin.error)}</Alert>}
      </Box>
    </section>
  );
}
