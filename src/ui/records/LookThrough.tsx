'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import LinearProgress from '@mui/material/LinearProgress';
import { counted } from '@/core/measure';
import { recordName } from '@/core/records';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { useLookThrough } from './use-look-through';

/** Copies with something wrong that are listed; of more, their number. */
const MOST = 30;

/** Looks at every copy for what may be wrong with it alone, and leads to each. */
export function LookThrough() {
  const { job } = useDesk();
  const { state, begin, stop } = useLookThrough();
  const showRecord = useJob((s) => s.showRecord);
  const show = useJob((s) => s.show);
  const select = useJob((s) => s.select);
  if (state.is === 'looking')
    return (
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Box sx={{ flex: 1, fontSize: 13 }}>
          Looked at {state.done} of {counted(state.of, 'record')}
          <LinearProgress variant="determinate" value={(100 * state.done) / state.of} aria-label="Looking through" />
        </Box>
        <Button size="small" onClick={stop}>
          Stop
        </Button>
      </Box>
    );
  const found = state.is === 'done' ? state.found : [];
  return (
    <>
      <Button size="small" variant="outlined" onClick={begin} sx={{ justifySelf: 'start' }}>
        Look through all
      </Button>
      {state.is === 'done' && (
        <Box role="status" sx={{ fontSize: 13, fontWeight: 600 }}>
          {found.length === 0
            ? `Nothing is wrong with any of ${counted(state.of, 'record')}.`
            : `✕ ${counted(found.length, 'thing')} to see to:`}
        </Box>
      )}
      {found.slice(0, MOST).map(({ index, finding }, i) => (
        <ButtonBase
          key={i}
          sx={{ textAlign: 'left', justifyContent: 'flex-start', fontSize: 13, display: 'block' }}
          onClick={() => {
            showRecord(index);
            show(finding.surface);
            if (finding.element) select([finding.element]);
          }}
        >
          <b>{recordName(job, index)}</b> {finding.message}
        </ButtonBase>
      ))}
      {found.length > MOST && <Box sx={{ fontSize: 13 }}>and {found.length - MOST} more</Box>}
    </>
  );
}
