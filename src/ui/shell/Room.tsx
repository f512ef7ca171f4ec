'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { MainNav, type Place } from './MainNav';
import { Mark } from './Mark';
import { COLOURS } from './theme';

interface Props {
  readonly here: Place;
  readonly title: string;
  /** Controls at the right of the head. */
  readonly tools?: ReactNode;
  readonly children: ReactNode;
}

/** A page outside a job: the head with its rooms, a title, and what is in it. */
export function Room({ here, title, tools, children }: Props) {
  return (
    <Box sx={{ minHeight: '100dvh', display: 'flex', flexDirection: 'column' }}>
      <Box
        component="header"
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          gap: 2,
          px: 2.5,
          minHeight: 54,
          bgcolor: COLOURS.header,
          borderBottom: `1px solid ${COLOURS.line}`,
        }}
      >
        <Mark />
        <MainNav here={here} />
        <Box sx={{ ml: 'auto', display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5, py: 0.75 }}>
          {tools}
        </Box>
      </Box>
      <Box component="main" sx={{ px: 3, py: 2.5 }}>
        <Box component="h1" sx={{ m: 0, mb: 2, typography: 'h1' }}>
          {title}
        </Box>
        {children}
      </Box>
    </Box>
  );
}
