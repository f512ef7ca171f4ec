'use client';
import Box from '@mui/material/Box';
import type { PrintableElement } from '@/core/job';
import { FileButton } from '../field/FileButton';
import { useDecisions } from './use-decisions';
import { useSay } from '../shell/Messages';

/** Longest file that is read here, bytes. */
const MOST_BYTES = 4 * 1024 * 1024;

/** Brings days and their names in from a calendar file. */
export function EventsFile({ element }: { readonly element: PrintableElement }) {
  const change = useDecisions(element);
  const say = useSay();
  const bring = async (file: File) => {
    if (file.size > MOST_BYTES) return say({ tone: 'problem', text: `${file.name} is larger than 4 MB: keep only the days that the calendar shows.` });
    const { readEvents } = await import('@/bring-in/events');
    const year = typeof element.content['year'] === 'number' ? element.content['year'] : new Date().getFullYear();
    const read = readEvents(await file.text(), year);
    if (!read.ok) return say({ tone: 'problem', text: `${file.name}: ${read.problem}` });
    const before = typeof element.content['events'] === 'string' ? element.content['events'] : '';
    const known = new Set(before.split('\n'));
    const fresh = read.lines.filter((l) => !known.has(l));
    change(`Days from ${file.name}`, (content) => ({ ...content, events: [before, ...fresh].filter((l) => l !== '').join('\n') }));
    say({ tone: 'done', text: fresh.length === read.lines.length ? `${fresh.length} days from ${file.name}.` : `${fresh.length} new days from ${file.name}; ${read.lines.length - fresh.length} were there already.` });
  };
  return (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <FileButton asks="A calendar file" accept=".ics,text/calendar" onFile={(file) => void bring(file)}>
        Days from a calendar file (.ics)
      </FileButton>
    </Box>
  );
} // prettier-ignore
