import { MOST_DATA_ROWS, type RowsReading } from '@/core/data';
import { readFile } from './read-file';

/** Reads the rows of a file, as a spreadsheet saves them. @param most rows that are wanted */
export const readData = (file: File, most = MOST_DATA_ROWS): Promise<RowsReading> =>
  readFile(file, {
    mostMb: 20,
    larger: 'Keep only the rows that are wanted.',
    read: async (readers, text): Promise<RowsReading> => readers.rows(text, most),
  });
