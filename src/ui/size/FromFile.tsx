'use client';
import { FileButton } from '../field/FileButton';
import { useSay } from '../shell/Messages';
import { readOutline } from '../shell/read-outline';
import type { Resize } from './use-resize';

/** Brings in the outline of an own format from an SVG or DXF file. */
export function FromFile({ resize }: { readonly resize: Resize }) {
  const say = useSay();
  const take = async (file: File) => {
    const read = await readOutline(file);
    const problem = read.ok ? resize.refuse('outline', read.outline) : read.problem;
    if (problem !== undefined) say({ tone: 'problem', text: `${file.name}: ${problem}` });
    else if (read.ok) resize.set('outline', read.outline);
  };
  return (
    <FileButton asks="Outline file, SVG or DXF" accept=".svg,.dxf" onFile={(file) => void take(file)}>
      Outline from a file
    </FileButton>
  );
}
