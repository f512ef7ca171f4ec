import type { DataBounds, RowsReading } from '@/core/data';
import { readFile } from './read-file';

/** Reads the rows of a file, as a spreadsheet saves them. */
export const readData = (file: File, bounds: Partial<DataBounds> = {}): Promise<RowsReading> =>
  readFile(file, {
    mostMb: 20,
    larger: 'Keep only the rows that are wanted.',
    read: async (readers, text): Promise<RowsReading> => readers.rows(text, bounds),
  });
