'use client';
import Box from '@mui/material/Box';
import { columnKey } from '@/core/records';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { COLOURS } from '../shell/theme';

/** Columns that are listed; of more, their number. */
const MOST = 12;

/** What the record that is shown says in each column. */
export function RecordValues() {
  const { records } = useDesk();
  const shown = useJob((s) => s.record);
  if (!records) return <Box sx={{ fontSize: 13 }}>The rows are on their way.</Box>;
  const values = records.at(Math.min(shown ?? 0, records.count - 1));
  const columns = records.columns.slice(0, MOST);
  const more = records.columns.length - columns.length;
  return (
    <Box
      component="dl"
      aria-label="What the record says"
      sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto 1fr', columnGap: 1.5, fontSize: 13 }}
    >
      {columns.map((column) => (
        <Box key={column} sx={{ display: 'contents' }}>
          <Box component="dt" sx={{ color: COLOURS.sheetSoft }}>
            {column}
          </Box>
          <Box component="dd" sx={{ m: 0, overflowWrap: 'anywhere' }}>
            {values.get(columnKey(column)) || '–'}
          </Box>
        </Box>
      ))}
      {more > 0 && <Box component="dt">and {more} more</Box>}
    </Box>
  );
}
