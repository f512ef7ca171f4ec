'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { seededRandom } from '@/core/chance';
import { formatNumber } from '@/core/measure';
import { DRILLS, drillKind, makeDrill, markDrill, type Drill, type Learner, type MarkedDrill } from '@/core/practice';
import { api } from '../shell/api';
import { FACES } from '../shell/theme';
import { RoomHeading } from './RoomHeading';

const MIXED = 'mixed';

function fresh(kind: string): Drill {
  const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
  const chosen = kind === MIXED ? DRILLS[seed % DRILLS.length] : drillKind(kind);
  return makeDrill(chosen ?? drillKind('feet'), seededRandom(seed));
}

interface Props {
  readonly name: string;
  readonly drills: Learner['drills'];
}

/** Sums of the trade, each with other numbers: the answer in any unit, the working after it. */
export default function Sums({ name, drills }: Props) {
  const [kind, setKind] = useState(MIXED);
  const [drill, setDrill] = useState(() => fresh(MIXED));
  const [typed, setTyped] = useState('');
  const [marked, setMarked] = useState<MarkedDrill>();
  const label = useId();
  const client = useQueryClient();
  const next = (of: string) => {
    setDrill(fresh(of));
    setTyped('');
    setMarked(undefined);
  };
  const answer = () => {
    if (marked?.ok) return next(kind);
    const found = markDrill(drill, typed, 'mm');
    setMarked(found);
    if (found.ok && name !== '')
      void api
        .countDrill({ learner: name, kind: drill.kind, isRight: found.isRight })
        .then(() => client.invalidateQueries({ queryKey: ['practice'] }));
  };
  const tally = drills[drill.kind];
  return (
    <section aria-labelledby={label}>
      <RoomHeading id={label}>Sums</RoomHeading>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          answer();
        }}
        sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}
      >
        <TextField
          select
          label="about"
          value={kind}
          sx={{ width: 260 }}
          onChange={(event) => {
            setKind(event.target.value);
            next(event.target.value);
          }}
        >
          <MenuItem value={MIXED}>All of them, mixed</MenuItem>
          {DRILLS.map(({ id, title }) => (
            <MenuItem key={id} value={id}>
              {title}
            </MenuItem>
          ))}
        </TextField>
        <Box role="status" sx={{ fontSize: 16, minHeight: 48 }}>
          {drillKind(drill.kind).asks(drill.given)}
        </Box>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start', '& button': { mt: 1.75 } }}>
          <TextField
            label="answer"
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value);
              if (marked && !marked.ok) setMarked(undefined);
            }}
            error={marked?.ok === false}
            helperText={
              marked?.ok === false ? (
                <span role="alert">{marked.error.message}</span>
              ) : (
                'Any unit; a bare length is in mm.'
              )
            }
            slotProps={{ input: { readOnly: marked?.ok === true, sx: { fontFamily: FACES.figure } } }}
          />
          <Button type="submit" variant="outlined">
            {marked?.ok ? 'Next' : 'Answer'}
          </Button>
        </Box>
        {marked?.ok && <Working marked={marked} />}
        {tally && (
          <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
            {tally.right} of {tally.asked} right of this kind so far.
          </Box>
        )}
      </Box>
    </section>
  );
}

function Working({ marked }: { readonly marked: Extract<MarkedDrill, { ok: true }> }) {
  const { isRight, value, unit, tolerance, working, rule } = marked;
  const number = `${formatNumber(value, 2)} ${unit === 'count' ? '' : unit}`.trim();
  const off = tolerance > 0 ? `; up to ${formatNumber(tolerance, 2)} off is as good` : '';
  return (
    <Box role="status" aria-label="Working">
      <b>
        {isRight ? '● Right' : '○ Not right'}: {number}
        {off}.
      </b>
      <Box sx={{ fontFamily: FACES.figure, fontSize: 13, py: 0.5 }}>
        {working.map((line) => (
          <div key={line}>{line}</div>
        ))}
      </Box>
      <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{rule}</Box>
    </Box>
  );
}
