'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { baseOfSide, changedElements, describeDifferences, type Job, type SideName } from '@/core/job';
import { itemsOf } from '@/core/drawing';
import { svgPage } from '@/paint/svg';
import { ChoiceField } from '../field/ChoiceField';
import { api, wordsOf } from '../shell/api';
import { COLOURS } from '../shell/theme';
import { useJob } from './context';
import { paintingOf } from './painting';
import { pieceOf } from './store';
import { useDeskOf } from './use-desk';

/** What differs from the version that this job was begun from: in words, and as two pictures with what changed outlined. */
export function Compare({ previous, onClose }: { readonly previous: NonNullable<Job['previous']>; readonly onClose: () => void }) {
  const { data, error } = useQuery({
    queryKey: ['version', previous.job, previous.revision],
    queryFn: () => api.revision(previous.job, previous.revision),
    retry: false,
  });
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="compare-title" onKeyDown={(e) => e.key !== 'Escape' && e.stopPropagation()}>
      <DialogTitle id="compare-title">{data ? `What differs from ${data.job.name}` : 'What differs from the version before'}</DialogTitle>
      <DialogContent>
        {error && <Alert severity="error">{wordsOf(error)}</Alert>}
        {!data && !error && <CircularProgress size={28} aria-label="Fetching the version before" />}
        {data && <Versions before={data.job} />}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
} // prettier-ignore

function Versions({ before }: { readonly before: Job }) {
  const after = useJob((s) => s.job);
  const differences = useMemo(() => describeDifferences(before, after), [before, after]);
  const changes = useMemo(() => changedElements(pieceOf(before), pieceOf(after)).filter((c) => baseOfSide(c.side) === undefined), [before, after]);
  const sides = [...new Set(changes.map((c) => c.side))];
  const [chosen, setChosen] = useState<SideName>();
  const side = chosen ?? sides[0];
  const marked = changes.filter((c) => c.side === side).map((c) => c.id);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {side !== undefined && (
        <>
          {sides.length > 1 && <ChoiceField label="side" width={160} value={side} options={sides.map((s) => ({ value: s, label: s }))} onChange={setChosen} />}
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
            <Version title={before.name} job={before} side={side} marked={marked} />
            <Version title={after.name} job={after} side={side} marked={marked} />
          </Box>
        </>
      )}
      <Box component="ul" aria-label="Differences" sx={{ fontSize: 14, m: 0 }}>
        {differences.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Box>
    </Box>
  );
} // prettier-ignore

interface VersionProps {
  readonly title: string;
  readonly job: Job;
  readonly side: SideName;
  readonly marked: readonly string[];
}

function Version({ title, job, side, marked }: VersionProps) {
  const { desk, problem } = useDeskOf(job, side);
  const picture = useMemo(() => {
    if (!desk) return '';
    const { drawing, resources, rules } = desk;
    return svgPage(itemsOf(drawing), drawing.boxes.trim, paintingOf(resources, rules.conversion)).replace(/ width="[^"]*mm" height="[^"]*mm"/, ' width="100%" height="100%"');
  }, [desk]);
  const trim = desk?.drawing.boxes.trim;
  const frames = desk?.drawing.frames.filter((f) => marked.includes(f.element)) ?? [];
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'center' }}>
      <b>{title}</b>
      {problem && <Alert severity="error">{problem}</Alert>}
      <Box role="img" aria-label={`${title}: ${side}, ${frames.length} marked`} sx={{ position: 'relative', width: '100%', height: 340, bgcolor: COLOURS.bench, p: 1 }}>
        <Box sx={{ width: '100%', height: '100%' }} dangerouslySetInnerHTML={{ __html: picture }} />
        {trim && (
          <Box component="svg" viewBox={`${trim.x} ${trim.y} ${trim.width} ${trim.height}`} sx={{ position: 'absolute', inset: 8, width: 'calc(100% - 16px)', height: 'calc(100% - 16px)', overflow: 'visible' }}>
            {frames.map(({ element, bounds: b }) => (
              <rect key={element} x={b.x} y={b.y} width={b.width} height={b.height} fill={COLOURS.accent} fillOpacity="0.08" stroke={COLOURS.accent} strokeWidth="2" strokeDasharray="6 3" vectorEffect="non-scaling-stroke" />
            ))}
          </Box>
        )}
      </Box>
    </Box>
  );
} // prettier-ignore
