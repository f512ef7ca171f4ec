'use client';
import Box from '@mui/material/Box';
import { Canvas } from '@react-three/fiber';
import { useState, type ReactNode } from 'react';
import type { Texture } from 'three';
import type { Folding } from '@/core/fold';
import { counted, type Mm } from '@/core/measure';
import type { Size } from '@/core/paper';
import { COLOURS } from '../shell/theme';
import { FoldControls } from './FoldControls';
import { Scene } from './Scene';
import { useProgress } from './use-progress';

interface Props {
  readonly folding: Folding;
  readonly flat: Size;
  readonly caliper: Mm;
  /** What is printed on the side that lies up, and on the one below; undefined while it is drawn. */
  readonly up: Texture | undefined;
  readonly down: Texture | undefined;
  /** What can be chosen, above the picture. */
  readonly choices?: ReactNode;
  /** What is said of it beside its folds, by how many are done. */
  readonly said?: (isFolded: boolean) => ReactNode;
}

/** Paper folding on the screen, with both its printed sides on it. */
export function Dummy({ folding, flat, caliper, up, down, choices, said }: Props) {
  const { steps } = folding;
  const progress = useProgress(steps.length);
  const [thick, setThick] = useState(6);
  const words = wordsOf(folding, progress.at);
  const struck = new Set((folding.collisions ?? []).filter((c) => progress.at > c.step).flatMap((c) => c.facets));
  return (
    <Box sx={{ position: 'absolute', inset: 0, display: 'flex', flexDirection: 'column', bgcolor: COLOURS.bench }}>
      <Box
        role="img"
        aria-label={`Folding dummy. ${words}`}
        sx={{ flex: 1, minHeight: 0 }}
        data-dummy={up ? 'ready' : 'drawing'}
      >
        <Canvas frameloop="demand" camera={{ fov: 32, near: 1, far: 100_000 }} dpr={[1, 2]}>
          <Scene {...{ folding, flat, up, down, struck }} progress={progress.at} sheet={caliper * thick} />
        </Canvas>
      </Box>
      {choices !== undefined && <Box sx={{ position: 'absolute', top: 12, right: 16 }}>{choices}</Box>}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'auto minmax(160px, 1fr) auto minmax(90px, 150px)',
          columnGap: 2,
          alignItems: 'center',
          px: 3,
          pb: 1,
        }}
      >
        <FoldControls {...{ progress, words, thick }} steps={steps.length} onThick={setThick} />
        <Box aria-live="polite" sx={{ gridColumn: '1 / -1', fontSize: 14, fontWeight: 600 }}>
          {words}
          {said?.(progress.at >= steps.length)}
          {struck.size > 0 && (
            <Box component="span" sx={{ color: 'error.main', ml: 2 }}>
              ▲ in the way: {[...struck].map((i) => folding.parts[i]?.name).join(', ')}
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

function wordsOf({ up, steps }: Folding, at: number): string {
  if (at <= 0) return `Flat, ${up} up`;
  if (at >= steps.length) return `Folded: ${counted(steps.length, 'fold')}`;
  return `${Math.floor(at) + 1}. ${steps[Math.floor(at)]?.name ?? ''}`;
}
