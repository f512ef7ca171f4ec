import Box from '@mui/material/Box';
import Link from 'next/link';
import { COLOURS, FACES } from './theme';

/** The name of the program, leading back to the board. */
export function Mark() {
  return (
    <Box
      component={Link}
      href="/"
      sx={{ display: 'flex', alignItems: 'center', gap: 1.25, color: 'inherit', textDecoration: 'none' }}
    >
      <svg width="22" height="26" viewBox="0 0 22 26" aria-hidden>
        <path d="M3 2l17 1.6-1.6 20.8-17-1.6z" fill={COLOURS.sheet} stroke={COLOURS.ink} strokeWidth="1.6" />
      </svg>
      <Box component="span" sx={{ fontFamily: FACES.title, fontWeight: 700, fontSize: 19, whiteSpace: 'nowrap' }}>
        Yellow Sheet
      </Box>
    </Box>
  );
}
