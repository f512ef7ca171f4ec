'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { FACES } from '../shell/theme';
import type { Progress } from './use-progress';

/** How much thicker than life paper is shown, at most. */
const THICKEST = 30;

interface Props {
  readonly progress: Progress;
  readonly steps: number;
  /** Where it is, in words. */
  readonly words: string;
  /** So much thicker than life. */
  readonly thick: number;
  readonly onThick: (times: number) => void;
}

/** One fold back or further, all of them, and how thick the paper is shown. */
export function FoldControls({ progress, steps, words, thick, onThick }: Props) {
  const { at, isPlaying, go, play } = progress;
  return (
    <>
      <Box sx={{ display: 'flex', gap: 0.5 }}>
        <Button
          size="small"
          variant="outlined"
          onClick={() => go(Math.ceil(at) - 1)}
          disabled={at <= 0}
          aria-label="One fold back"
        >
          ‹ back
        </Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => go(Math.floor(at) + 1)}
          disabled={at >= steps}
          aria-label="One fold further"
        >
          fold ›
        </Button>
        <Button size="small" variant="contained" onClick={play}>
          {isPlaying ? 'hold' : 'fold it all'}
        </Button>
      </Box>
      <Slider
        aria-label="Folding"
        min={0}
        max={steps}
        step={0.01}
        value={at}
        marks={Array.from({ length: steps }, (_, i) => ({ value: i + 1 }))}
        valueLabelDisplay="off"
        getAriaValueText={() => words}
        onChange={(_event, value) => go(value)}
      />
      <Box component="span" id="thickness-shown" sx={{ fontSize: 13 }}>
        thickness shown{' '}
        <Box component="span" sx={{ fontFamily: FACES.figure }}>
          {thick} ×
        </Box>
      </Box>
      <Slider
        aria-labelledby="thickness-shown"
        min={1}
        max={THICKEST}
        value={thick}
        onChange={(_event, value) => onThick(value)}
      />
    </>
  );
}
