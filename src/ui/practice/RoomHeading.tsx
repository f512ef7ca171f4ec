'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { COLOURS } from '../shell/theme';

/** Title of a part of a page outside a job. */
export function RoomHeading({ id, children }: { readonly id: string; readonly children: ReactNode }) {
  return (
    <Box
      component="h2"
      id={id}
      sx={{ m: 0, mb: 1.5, pb: 0.5, fontSize: 18, fontWeight: 700, borderBottom: `2px solid ${COLOURS.ink}` }}
    >
      {children}
    </Box>
  );
}
