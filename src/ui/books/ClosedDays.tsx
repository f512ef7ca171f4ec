'use client';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { closedOf, readClosed, writeClosed, type ClosedSpan, type House } from '@/core/shop';
import { FileButton } from '../field/FileButton';
import { LinesField } from '../field/LinesField';
import { today } from '../open-job/use-plan';
import { useSay } from '../shell/Messages';
import { counted } from '@/core/measure';
import { readFile } from '../shell/read-file';

interface Props {
  readonly house: House;
  readonly onChange: (change: Partial<House>) => void;
}

/** When nothing is done at a printer: the public holidays of its region, and days on which it is closed itself. */
export function ClosedDays({ house, onChange }: Props) {
  const { closed = [], region = '' } = house;
  const say = useSay();
  const set = (spans: readonly ClosedSpan[]) => onChange({ closed: spans.length > 0 ? [...spans] : undefined });
  const bring = async (file: File) => {
    const now = today();
    const read = await readFile(file, {
      mostMb: 4,
      larger: 'Keep only the days on which it is closed.',
      read: async (readers, text) => readers.events(text, new Date().getFullYear()),
    });
    if (!read.ok) return say({ tone: 'problem', text: `${file.name}: ${read.problem}` });
    const known = new Set(closed.map((span) => writeClosed([span])));
    const fresh = closedOf(read.lines, now).filter((span) => !known.has(writeClosed([span])));
    set([...closed, ...fresh].sort((a, b) => (a.from < b.from ? -1 : 1)).slice(0, 200));
    say({ tone: 'done', text: `${counted(fresh.length, 'time')} that it is closed, from ${file.name}.` });
  };
  return (
    <Box
      role="group"
      aria-label="Days on which it is closed"
      sx={{
        gridColumn: '1 / -1',
        display: 'grid',
        gridTemplateColumns: '160px 1fr auto',
        gap: 1.25,
        alignItems: 'end',
      }}
    >
      <TextField
        label="Holidays of"
        value={region}
        placeholder="GB-ENG"
        helperText="A country, or a part of one: GB-SCT, DE-BY, US"
        onChange={(event) => onChange({ region: event.target.value.trim().toUpperCase() || undefined })}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 7 } }}
      />
      <Box sx={{ display: 'grid' }}>
        <LinesField<ClosedSpan[]>
          label="Closed"
          name="closed"
          shown={writeClosed(closed)}
          hint="A line each: 2026-12-24 to 2027-01-03 Works holiday"
          read={readClosed}
          onChange={set}
        />
      </Box>
      <FileButton asks="A calendar of closed days" accept=".ics,text/calendar" onFile={(file) => void bring(file)}>
        From a calendar (.ics)
      </FileButton>
    </Box>
  );
}
