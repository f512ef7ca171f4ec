'use client';
import Box from '@mui/material/Box';
import type { ReadEvents } from '@/bring-in/events';
import type { PrintableElement } from '@/core/job';
import { FileButton } from '../field/FileButton';
import { useDecisions } from './use-decisions';
import { useSay } from '../shell/Messages';
import { readFile } from '../shell/read-file';

/** Brings days and their names in from a calendar file. */
export function EventsFile({ element }: { readonly element: PrintableElement }) {
  const change = useDecisions(element);
  const say = useSay();
  const bring = async (file: File) => {
    const year = typeof element.content['year'] === 'number' ? element.content['year'] : new Date().getFullYear();
    const read = await readFile(file, {
      mostMb: 4,
      larger: 'Keep only the days that the calendar shows.',
      read: async (readers, text): Promise<ReadEvents> => readers.events(text, year),
    });
    if (!read.ok) return say({ tone: 'problem', text: `${file.name}: ${read.problem}` });
    const before = typeof element.content['events'] === 'string' ? element.content['events'] : '';
    const known = new Set(before.split('\n'));
    const fresh = read.lines.filter((l) => !known.has(l));
    change(`Days from ${file.name}`, (content) => ({
      ...content,
      events: [before, ...fresh].filter((l) => l !== '').join('\n'),
    }));
    say({
      tone: 'done',
      text:
        fresh.length === read.lines.length
          ? `${fresh.length} days from ${file.name}.`
          : `${fresh.length} new days from ${file.name}; ${read.lines.length - fresh.length} were there already.`,
    });
  };
  return (
    <Box sx={{ gridColumn: '1 / -1' }}>
      <FileButton asks="A calendar file" accept=".ics,text/calendar" onFile={(file) => void bring(file)}>
        Days from a calendar file (.ics)
      </FileButton>
    </Box>
  );
}
