'use client';
import Box from '@mui/material/Box';
import { useMemo } from 'react';
import { blankOf, startJob } from '@/core/job';
import type { Format } from '@/core/format';
import type { JobUnit } from '@/core/measure';
import { blankPicture } from '@/paint/svg';

const BOX = { width: 92, height: 72 } as const;

/** The kind of piece as it lies flat, with its usual decisions. */
export function FormatPicture({ format, unit }: { readonly format: Format; readonly unit: JobUnit }) {
  const svg = useMemo(() => {
    const started = startJob(format, {}, { id: 'picture', name: format.title, unit });
    const piece = started.ok ? started.job.pieces[0] : undefined;
    const surfaces = started.ok && piece ? blankOf(started.job, piece).surfaces : [];
    const shown = surfaces.find((s) => s.repeats) ?? surfaces[0];
    return shown ? blankPicture(shown, BOX) : '';
  }, [format, unit]);
  return <Box aria-hidden sx={{ lineHeight: 0, ...BOX }} dangerouslySetInnerHTML={{ __html: svg }} />;
}
