'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Paper from '@mui/material/Paper';
import { FACES } from './theme';
import { useUploads, type Going } from './upload';

/** Smaller files are there before anybody could read about them, bytes. */
const WORTH_SAYING = 2_000_000;

const mb = (bytes: number): string => (bytes / 1_000_000).toFixed(1);

/** What is on its way to the server, how far it is, and a way to stop it. */
export function Uploads() {
  const going = useUploads((s) => s.going).filter(({ size, waits }) => size > WORTH_SAYING || waits);
  if (going.length === 0) return null;
  return (
    <Paper
      component="section"
      aria-label="On its way to the server"
      elevation={6}
      sx={{ position: 'fixed', left: 24, bottom: 88, width: 350, p: 1.5, zIndex: 'snackbar', display: 'grid', gap: 1 }}
    >
      {going.map((file) => (
        <File key={file.id} file={file} />
      ))}
    </Paper>
  );
}

function File({ file: { id, name, size, sent, waits, stop } }: { readonly file: Going }) {
  const isThere = sent >= size;
  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
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
        variant={isThere || waits ? 'indeterminate' : 'determinate'}
        value={Math.min(100, (sent / size) * 100)}
        aria-labelledby={`going-${id}`}
      />
      <Box role="status" sx={{ fontFamily: FACES.figure, fontSize: 12 }}>
        {waits
          ? 'The line broke; it is sent again.'
          : isThere
            ? `${mb(size)} MB arrived; it is being read.`
            : `${mb(sent)} of ${mb(size)} MB`}
      </Box>
    </Box>
  );
}
