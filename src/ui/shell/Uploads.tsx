'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Paper from '@mui/material/Paper';
import { useEffect, useState } from 'react';
import { useGoing, type Going } from './going';
import { FACES } from './theme';

/** What takes less than this, ms, is there before anybody could read about it. */
const WORTH_SAYING = 800;

const mb = (bytes: number): string => (bytes / 1_000_000).toFixed(1);

/** Files that are being brought in, how far they are, and a way to stop each. */
export function Uploads() {
  const { going } = useGoing();
  if (going.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Files being brought in"
      sx={{ position: 'fixed', left: 24, bottom: 88, width: 350, zIndex: 'snackbar', display: 'grid', gap: 1 }}
    >
      {going.map((file) => (
        <File key={file.id} file={file} />
      ))}
    </Box>
  );
}

/** Whether something has gone on for so long that it is worth saying. */
function useIsLong(since: number): boolean {
  const [isLong, setIsLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setIsLong(true), since + WORTH_SAYING - Date.now());
    return () => clearTimeout(timer);
  }, [since]);
  return isLong;
}

function wordsOf({ how, size, sent, waits }: Going): string {
  if (how === 'read') return `${mb(size)} MB are being read.`;
  if (waits) return 'The line broke; it is sent again.';
  return sent >= size ? `${mb(size)} MB arrived; it is being read.` : `${mb(sent)} of ${mb(size)} MB`;
}

function File({ file }: { readonly file: Going }) {
  const { id, name, how, size, sent, waits, stop } = file;
  if (!useIsLong(file.since)) return null;
  const isCounted = how === 'sent' && sent < size && !waits;
  return (
    <Paper elevation={6} sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 0.5, p: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', fontSize: 13.5 }}>
        <Box
          id={`going-${id}`}
          sx={{ flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
        >
          {name}
        </Box>
        <Button size="small" onClick={stop} aria-label={`Stop ${name}`} sx={{ minHeight: 24 }}>
          Stop
        </Button>
      </Box>
      <LinearProgress
        variant={isCounted ? 'determinate' : 'indeterminate'}
        value={Math.min(100, (sent / size) * 100)}
        aria-labelledby={`going-${id}`}
      />
      <Box role="status" sx={{ fontFamily: FACES.figure, fontSize: 12 }}>
        {wordsOf(file)}
      </Box>
    </Paper>
  );
}
