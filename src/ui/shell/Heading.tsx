'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { COLOURS, FACES } from './theme';

/** Title of a part of the sheet. */
export function Heading({ children, tight = false }: { readonly children: ReactNode; readonly tight?: boolean }) {
  return (
    <Box
      component="h2"
      sx={{
        m: 0,
        px: 2.5,
        pt: tight ? 0.25 : 1.5,
        pb: tight ? 0 : 0.25,
        fontSize: 11,
        fontWeight: 700,
        letterSpacing: '0.1em',
        textTransform: 'uppercase',
        color: COLOURS.sheetSoft,
        fontFamily: FACES.text,
      }}
    >
      {children}
    </Box>
  );
}
