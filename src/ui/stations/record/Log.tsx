'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { withEntry, withoutEntry } from '@/core/edit';
import { LOG_KINDS, type Job, type LogKind } from '@/core/job';
import { STEP_TITLES } from '@/core/schedule';
import { ChoiceField } from '../../field/ChoiceField';
import { useJob } from '../../open-job/context';
import { LOG_WORDS } from '../../open-job/log-words';
import { useExports } from '../../open-job/use-exports';
import { momentWords } from '../../shell/moments';
import { COLOURS, FACES } from '../../shell/theme';

/** A line of the log: written by hand, or known without. */
interface Line {
  readonly key: string;
  /** ISO 8601; a day alone where no hour is known. */
  readonly at: string;
  readonly what: string;
  readonly text: string;
  /** The entry that it is of. */
  readonly entry: string | undefined;
}

/** What happened with the job, the last first: what was written down, and what is known without. */
export function Log() {
  const job = useJob((s) => s.job);
  const change = useJob((s) => s.change);
  const { data } = useExports();
  const [kind, setKind] = useState<LogKind>('note');
  const [text, setText] = useState('');
  const write = () => {
    change(`Write down: ${LOG_WORDS[kind]}`, (now) => withEntry(now, kind, text, new Date()));
    setText('');
  };
  const made = (data?.exports ?? [])
    .filter(({ state }) => state === 'done')
    .map(({ id, at, kind: of, revision }): Line => {
      const label = data?.kinds.find((one) => one.kind === of)?.label ?? of;
      return { key: id, at, what: 'made', text: `${label}, of state ${revision}`, entry: undefined };
    });
  const lines = [...made, ...linesOf(job)].sort((a, b) => (a.at < b.at ? 1 : -1));
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'end' }}>
        <ChoiceField<LogKind>
          label="what it is"
          width={190}
          value={kind}
          options={LOG_KINDS.map((value) => ({ value, label: LOG_WORDS[value] }))}
          onChange={setKind}
        />
        <TextField
          label="In words"
          multiline
          maxRows={4}
          value={text}
          onChange={(event) => setText(event.target.value)}
          sx={{ flex: 1 }}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 2000 } }}
        />
        <Button variant="outlined" disabled={text.trim() === ''} onClick={write}>
          Write down
        </Button>
      </Box>
      {lines.length === 0 && <Box>Nothing was written down yet.</Box>}
      <Box
        component="ul"
        aria-label="Log, the last first"
        sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 0.5 }}
      >
        {lines.map(({ key, at, what, text: words, entry }) => (
          <Box
            component="li"
            key={key}
            sx={{
              display: 'grid',
              gridTemplateColumns: '150px 150px 1fr auto',
              gap: 1,
              alignItems: 'baseline',
              borderLeft: `4px solid ${entry === undefined ? COLOURS.line : COLOURS.sheet}`,
              pl: 1.5,
            }}
          >
            <Box sx={{ fontFamily: FACES.figure, fontSize: 12.5 }}>{momentWords(at)}</Box>
            <Box sx={{ fontWeight: entry === undefined ? 400 : 600 }}>{what}</Box>
            <Box sx={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>{words}</Box>
            {entry !== undefined && (
              <Button
                size="small"
                aria-label={`Take out: ${words.slice(0, 60)}`}
                onClick={() => change('Take out of the log', (now) => withoutEntry(now, entry))}
              >
                Take out
              </Button>
            )}
          </Box>
        ))}
      </Box>
    </>
  );
}

function linesOf({ log = [], proofs = [], schedule }: Job): readonly Line[] {
  const own = log.map(({ id, at, kind, text }): Line => ({ key: id, at, what: LOG_WORDS[kind], text, entry: id }));
  const shown = proofs.flatMap(({ id, at, to, revision, state, by, on }): readonly Line[] => {
    const sent = { key: `${id}-sent`, at, what: 'proof', text: `version ${revision}${to === '' ? '' : `, for ${to}`}` };
    const answer = state === 'approved' ? 'approved' : 'changes wanted';
    const isAnswered = on !== null && (state === 'approved' || state === 'changes');
    return [
      { ...sent, entry: undefined },
      ...(isAnswered
        ? [{ key: `${id}-back`, at: on, what: answer, text: by === '' ? '' : `by ${by}`, entry: undefined }]
        : []),
    ];
  });
  const done = Object.entries(schedule?.steps ?? {}).flatMap(([id, { done: day }]): readonly Line[] => {
    const title = STEP_TITLES[id as keyof typeof STEP_TITLES];
    return day === undefined ? [] : [{ key: `done-${id}`, at: day, what: 'done', text: title, entry: undefined }];
  });
  return [...own, ...shown, ...done];
}
