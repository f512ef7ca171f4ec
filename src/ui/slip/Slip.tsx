'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { COLOURS } from '../shell/theme';

/** The white slip below the bench: what is selected, or what the station decides, in words. */
export function Slip({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        flex: 'none',
        bgcolor: 'background.paper',
        border: `1px solid ${COLOURS.line}`,
        borderRadius: 1,
        px: 2,
        py: 1,
        mx: 2,
        mb: 1.5,
        maxHeight: '38vh',
        overflowY: 'auto',
      }}
    >
      {children}
    </Box>
  );
}

/** A row of fields under a small heading. */
export function Group({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box role="group" aria-label={title} sx={{ display: 'flex', flexDirection: 'column' }}>
      <Box
        sx={{
          fontSize: 10.5,
          fontWeight: 700,
          letterSpacing: '0.09em',
          textTransform: 'uppercase',
          color: 'text.secondary',
          mb: 0.5,
        }}
      >
        {title}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, rowGap: 0.75, alignItems: 'flex-end' }}>
        {children}
      </Box>
    </Box>
  );
}

export function Groups({ children }: { readonly children: ReactNode }) {
  return <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, rowGap: 1 }}>{children}</Box>;
}
