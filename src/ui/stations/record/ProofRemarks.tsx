'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { changeProof, changeRemark, pieceOf, pinned, withoutRemark } from '@/core/edit';
import { centreOf } from '@/core/layout';
import { blankOf, type Proof, type ProofRemark } from '@/core/job';
import { ChoiceField } from '../../field/ChoiceField';
import { WordsField } from '../../field/WordsField';
import { useJob } from '../../open-job/context';
import { api, wordsOf } from '../../shell/api';
import { COLOURS } from '../../shell/theme';
import { SideOf } from '../../view/SideOf';

interface Props {
  readonly proof: Proof;
  readonly onClose: () => void;
}

/** What a client wants changed, pinned to its places on the state that they saw. */
export function ProofRemarks({ proof, onClose }: Props) {
  const job = useJob((s) => s.job.id);
  const change = useJob((s) => s.change);
  const { data, error } = useQuery({
    queryKey: ['version', job, proof.revision],
    queryFn: () => api.revision(job, proof.revision),
    retry: false,
  });
  const seen = data?.job;
  const surfaces = seen ? blankOf(seen, pieceOf(seen)).surfaces : [];
  const sides = surfaces.map(({ name }) => name);
  const [chosen, setChosen] = useState<string>();
  const side = chosen ?? proof.remarks[0]?.side ?? sides[0] ?? '';
  const trim = surfaces.find(({ name }) => name === side)?.boxes.trim;
  const changed = (label: string, to: (proof: Proof) => Proof) =>
    change(label, (now) => changeProof(now, proof.id, to));
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="md"
      fullWidth
      aria-labelledby="remarks-title"
      onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}
    >
      <DialogTitle id="remarks-title">Remarks on version {proof.revision}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: { md: '1fr 320px' }, gap: 3, pt: 1 }}>
        <Box sx={{ display: 'grid', gap: 1, alignContent: 'start' }}>
          {error && <Alert severity="error">{wordsOf(error)}</Alert>}
          {!seen && !error && <CircularProgress size={24} aria-label="Fetching what was seen" />}
          {sides.length > 1 && (
            <ChoiceField
              label="side"
              width={180}
              value={side}
              options={sides.map((name) => ({ value: name, label: name }))}
              onChange={setChosen}
            />
          )}
          {seen && side !== '' && (
            <SideOf
              job={seen}
              side={side}
              height={460}
              cut="trim"
              box={({ trim }) => trim}
              label={`The ${side} as it was seen: press where something is to be changed`}
              onPress={(at) => changed('Pin a remark', (now) => pinned(now, side, at))}
              over={({ boxes }) => <Pins remarks={proof.remarks} side={side} size={boxes.trim.width / 26} />}
            />
          )}
        </Box>
        <Box
          component="ol"
          aria-label="Remarks"
          sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1.5, alignContent: 'start' }}
        >
          {proof.remarks.length === 0 && (
            <Box component="li">Press on the picture where something is to be changed.</Box>
          )}
          {proof.remarks.map((remark, i) => (
            <Box component="li" key={remark.id} sx={{ display: 'flex', gap: 1, alignItems: 'start' }}>
              <Checkbox
                size="small"
                checked={remark.done === true}
                slotProps={{ input: { 'aria-label': `Remark ${i + 1} is done` } }}
                onChange={(event) =>
                  changed('Tick a remark', (now) =>
                    changeRemark(now, remark.id, (was) => ticked(was, event.target.checked)),
                  )
                }
              />
              <WordsField
                label={`${i + 1} · ${remark.side}`}
                most={2000}
                width="100%"
                value={remark.text}
                onChange={(text) =>
                  changed('Word a remark', (now) => changeRemark(now, remark.id, (was) => ({ ...was, text })))
                }
              />
              <Button
                size="small"
                aria-label={`Take out remark ${i + 1}`}
                onClick={() => changed('Take out a remark', (now) => withoutRemark(now, remark.id))}
              >
                ✕
              </Button>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button
          disabled={!trim}
          onClick={() => trim && changed('Pin a remark', (now) => pinned(now, side, centreOf(trim)))}
        >
          Add a remark
        </Button>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

function ticked({ done: _done, ...remark }: ProofRemark, isDone: boolean): ProofRemark {
  return isDone ? { ...remark, done: true } : remark;
}

interface PinsProps {
  readonly remarks: readonly ProofRemark[];
  readonly side: string;
  /** Across, mm. */
  readonly size: number;
}

/** Each remark of a side at its place, by its number; what is done is hollow. */
const Pins = ({ remarks, side, size }: PinsProps) =>
  remarks.map(
    ({ id, side: of, x, y, done }, i) =>
      of === side && (
        <g key={id} data-pin={i + 1}>
          <circle
            cx={x}
            cy={y}
            r={size / 2}
            fill={done ? '#fff' : COLOURS.fault}
            stroke={COLOURS.fault}
            strokeWidth={size / 12}
          />
          <text
            x={x}
            y={y + size * 0.2}
            fontSize={size * 0.6}
            fontWeight={700}
            textAnchor="middle"
            fill={done ? COLOURS.fault : '#fff'}
          >
            {i + 1}
          </text>
        </g>
      ),
  );
