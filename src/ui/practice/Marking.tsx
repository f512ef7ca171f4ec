'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { RULES, type Rule } from '@/core/check';
import type { Mark } from '@/core/practice';
import { counted } from '@/core/measure';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Heading } from '../shell/Heading';
import { usePileView } from '../view/pile-view';
import { useRound } from './round';

/** What can be wrong, by name. */
const CHOICES = [...RULES].sort((a, b) => a.title.localeCompare(b.title));

/** What is chosen on the bench is said to be wrong, by the name of what is wrong with it. */
export function Marking() {
  const { round, marks, setMarks, handIn, isHandingIn } = useRound();
  const { nameIn } = useDesk();
  const side = useJob((s) => s.side);
  const [element] = useJob((s) => s.selection);
  const [rule, setRule] = useState<Rule | null>(null);
  const where = element === undefined ? `the ${side}, or the piece as a whole` : `“${nameIn(element) ?? 'it'}”`;
  const mark = () => {
    if (!rule) return;
    const made: Mark = { side, element: element ?? null, rule: rule.id };
    const isThere = (one: Mark) => one.side === made.side && one.element === made.element && one.rule === made.rule;
    if (!marks.some(isThere)) setMarks([...marks, made]);
    setRule(null);
  };
  const sendAnyway = async () => {
    await handIn();
    usePileView.getState().set({ mode: 'fan' });
  };
  return (
    <section aria-label="What is wrong">
      <Heading>What is wrong?</Heading>
      <Box sx={{ px: 2.5, py: 0.75, display: 'grid', gap: 1, fontSize: 14 }}>
        <div>
          {counted(round.faults, 'fault')} {round.faults === 1 ? 'was' : 'were'} made in this piece. Click what is
          wrong, say what it is, and mark it; with nothing chosen you speak of{' '}
          {element === undefined ? where : 'the piece'}.
        </div>
        <div role="status">
          Chosen: <b>{where}</b>
        </div>
        <Autocomplete
          size="small"
          options={CHOICES}
          value={rule}
          onChange={(_event, to) => setRule(to)}
          getOptionLabel={(one) => one.title}
          isOptionEqualToValue={(a, b) => a.id === b.id}
          renderInput={(params) => (
            <TextField
              {...params}
              variant="standard"
              label="is"
              placeholder="what is wrong with it"
              slotProps={{ ...params.slotProps, inputLabel: { ...params.slotProps.inputLabel, shrink: true } }}
            />
          )}
          renderOption={({ key, ...props }, one) => (
            <li key={key} {...props} title={one.why}>
              {one.title}
            </li>
          )}
        />
        <Box>
          <Button size="small" variant="outlined" disabled={!rule} onClick={mark}>
            Mark it
          </Button>
        </Box>
        <MarkList />
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button size="small" variant="contained" loading={isHandingIn} onClick={() => void handIn()}>
            Hand in
          </Button>
          <Button size="small" variant="outlined" disabled={isHandingIn} onClick={() => void sendAnyway()}>
            Send it anyway
          </Button>
        </Box>
      </Box>
    </section>
  );
}

function MarkList() {
  const { marks, setMarks } = useRound();
  const { nameIn } = useDesk();
  if (marks.length === 0) return <Box sx={{ color: 'text.secondary' }}>Nothing is marked yet.</Box>;
  return (
    <Box component="ul" aria-label="Marked" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {marks.map((mark) => {
        const { title } = RULES.find(({ id }) => id === mark.rule) ?? { title: mark.rule };
        const where = mark.element === null ? mark.side : `“${nameIn(mark.element) ?? 'it'}”`;
        return (
          <Box
            component="li"
            key={`${mark.side} ${mark.element} ${mark.rule}`}
            sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}
          >
            <Box sx={{ flex: 1 }}>
              {title}{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                · {where}
              </Box>
            </Box>
            <IconButton
              size="small"
              aria-label={`Take back: ${title}`}
              onClick={() => setMarks(marks.filter((one) => one !== mark))}
            >
              ✕
            </IconButton>
          </Box>
        );
      })}
    </Box>
  );
}
