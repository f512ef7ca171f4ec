'use client';
import Button from '@mui/material/Button';
import { useRef } from 'react';
import { readOutlineFile } from '@/bring-in/outline';
import { useSay } from '../shell/Messages';
import type { Resize } from './use-resize';

/** Brings in the outline of an own format from an SVG or DXF file. */
export function FromFile({ resize }: { readonly resize: Resize }) {
  const input = useRef<HTMLInputElement>(null);
  const say = useSay();
  const take = async (file: File | undefined) => {
    if (!file) return;
    const read = readOutlineFile(await file.text());
    const problem = read.ok ? resize.refuse('outline', read.outline) : read.problem;
    if (problem !== undefined) say({ tone: 'problem', text: `${file.name}: ${problem}` });
    else if (read.ok) resize.set('outline', read.outline);
  };
  return (
    <>
      <Button size="small" variant="outlined" onClick={() => input.current?.click()} sx={{ bgcolor: '#fff' }}>
        Outline from a file
      </Button>
      <input
        ref={input}
        hidden
        type="file"
        accept=".svg,.dxf"
        aria-label="Outline file, SVG or DXF"
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
    </>
  );
}
