import type { OutlineReading } from '@/bring-in/outline';
import { readFile } from './read-file';

/** Reads the outline of a piece from a file. */
export const readOutline = (file: File): Promise<OutlineReading> =>
  readFile(file, {
    mostMb: 5,
    larger: 'Save the outline alone.',
    read: async (readers, text): Promise<OutlineReading> => readers.outline(text),
  });
