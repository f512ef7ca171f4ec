'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Finishing } from '@/core/job';
import { CoatForm } from './CoatForm';
import { LineForm } from './LineForm';

interface Props {
  readonly onAdd: (label: string, finishing: Finishing) => void;
}

/** The two ways in: something is laid on, or something is cut, folded, scored. Each shows what it would do first. */
export function AddFinishing({ onAdd }: Props) {
  const [way, setWay] = useState<'coat' | 'line'>();
  const close = () => setWay(undefined);
  const added = (label: string) => (finishing: Finishing) => {
    onAdd(label, finishing);
    close();
  };
  if (way === 'coat') return <CoatForm onAdd={added('Add a coating')} onClose={close} />;
  if (way === 'line') return <LineForm onAdd={added('Add a line')} onClose={close} />;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
      <Button variant="outlined" onClick={() => setWay('coat')} title="Varnish, foil, emboss, white beneath the inks">
        Coat …
      </Button>
      <Button variant="outlined" onClick={() => setWay('line')} title="Cut, score, fold, perforate, drill, glue">
        Line …
      </Button>
    </Box>
  );
}
