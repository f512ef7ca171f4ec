'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { shiftOf, writeBuild, writeHex, type Rgb } from '@/core/colour';
import type { PaintBook } from '@/core/compose';
import type { SolidPaint } from '@/core/job';
import { formatNumber } from '@/core/measure';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { api } from '../shell/api';
import { Chip } from './Chip';
import { ShiftWords } from './ShiftWords';

interface Props {
  readonly colour: PaintBook;
  readonly onChange: (paint: SolidPaint) => void;
  readonly onClose: () => void;
}

/**
 * Colours from what is there: picked on the bench, or proposed from a picture; each with its build and shift before it
 * is kept.
 */
export function FromBench({ colour, onChange, onClose }: Props) {
  const { job } = useDesk();
  const pick = useJob((s) => s.pick);
  const pictures = Object.entries(job.assets).filter(([, asset]) => asset.kind === 'picture');
  const [from, setFrom] = useState<string>();
  return (
    <Box sx={{ display: 'grid', gap: 0.75 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            onClose();
            pick(onChange);
          }}
        >
          Pick from the bench
        </Button>
        {pictures.slice(0, 6).map(([sha, asset]) => (
          <Button key={sha} size="small" onClick={() => setFrom(sha)} aria-pressed={from === sha}>
            From {asset.name.slice(0, 18)}
          </Button>
        ))}
      </Box>
      {from && <PictureColours sha={from} colour={colour} onChange={onChange} />}
    </Box>
  );
}

/** The colours that make up a picture, the most common first. */
function PictureColours({ sha, colour, onChange }: { readonly sha: string } & Omit<Props, 'onClose'>) {
  const { data, error } = useQuery({
    queryKey: ['palette', sha],
    queryFn: () => api.palette(sha),
    staleTime: Infinity,
  });
  const [chosen, setChosen] = useState<Rgb>();
  if (error) return <Box role="alert">The picture could not be read for its colours.</Box>;
  if (!data) return <Box role="status">Looking at the picture …</Box>;
  return (
    <Box sx={{ display: 'grid', gap: 0.75 }}>
      <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
        {data.colours.map((rgb) => {
          const { build, deltaE } = shiftOf(rgb, colour);
          const words = `${writeHex(rgb)}, prints as ${writeBuild(build)}, ΔE ${formatNumber(deltaE, 1)}`;
          return (
            <ButtonBase key={writeHex(rgb)} aria-label={words} title={words} onClick={() => setChosen(rgb)}>
              <Chip paint={{ kind: 'rgb', ...rgb }} colour={colour} size={28} />
            </ButtonBase>
          );
        })}
      </Box>
      {chosen && <ShiftWords paint={{ kind: 'rgb', ...chosen }} colour={colour} onTake={onChange} />}
    </Box>
  );
}
