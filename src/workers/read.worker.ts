import { expose } from 'comlink';
import { readEvents } from '../bring-in/events';
import { readOutlineFile } from '../bring-in/outline';
import { readRows } from '../core/data';

/** Readers of files that stay in the page: here they can be stopped, whatever is in the file. */
const readers = { events: readEvents, outline: readOutlineFile, rows: readRows };

export type Readers = typeof readers;

expose(readers);
