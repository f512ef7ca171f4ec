'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { findPaint, replacePaint } from '@/core/edit';
import { BLACK, paintsUsed, type SolidPaint } from '@/core/job';
import { ChoiceField } from '../field/ChoiceField';
import { SolidPaintField } from '../field/PaintField';
import { useJob } from '../open-job/context';
import { Places, countOf } from './Places';

/** A colour wherever it is laid, and another in its place. */
export function SearchColours() {
  const job = useJob((s) => s.job);
  const change = useJob((s) => s.change);
  const used = useMemo(() => [...paintsUsed(job).keys()], [job]);
  const [chosen, setChosen] = useState<string>();
  const key = chosen !== undefined && used.includes(chosen) ? chosen : (used[0] ?? '');
  const [by, setBy] = useState<SolidPaint>(BLACK);
  const found = useMemo(() => findPaint(job, key), [job, key]);
  if (used.length === 0) return <Box sx={{ fontSize: 13.5 }}>Nothing is painted yet.</Box>;
  return (
    <>
      <ChoiceField
        label="Colour"
        width="100%"
        value={key}
        options={used.map((one) => ({ value: one, label: one }))}
        onChange={setChosen}
      />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-end' }}>
        <SolidPaintField label="replace by" value={by} onChange={(paint) => paint && setBy(paint)} />
        <Button
          variant="contained"
          size="small"
          onClick={() => change(`Replace ${key}`, (now) => replacePaint(now, key, by))}
        >
          Replace everywhere
        </Button>
      </Box>
      <Box role="status" sx={{ fontSize: 13, fontWeight: 600 }}>
        {countOf(found.length)}
      </Box>
      <Places
        none="Only a style says it."
        places={found.map(({ side, element, name }) => ({ key: `${side}-${element}`, side, element, words: name }))}
      />
    </>
  );
}
