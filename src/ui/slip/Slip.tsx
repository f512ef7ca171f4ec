'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { TermId } from '@/core/glossary';
import { Explained } from '../shell/Explained';
import { COLOURS } from '../shell/theme';

/** The white slip, clipped onto the sheet: what is selected, or what the station decides, in words. */
export function Slip({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <Box sx={{ flex: '0 1 auto', minHeight: 0, display: 'flex', flexDirection: 'column', px: 1, pb: 1.5, pt: 1 }}>
      <Clip />
      <Box
        component="section"
        aria-label={label}
        sx={{
          bgcolor: 'background.paper',
          boxShadow: '0 2px 7px rgb(27 35 52 / 0.35)',
          px: 1.75,
          pt: 1.75,
          pb: 1.25,
          minHeight: 0,
          overflowY: 'auto',
          scrollbarWidth: 'thin',
          // What is wider than the slip is cut to it.
          '& .MuiFormControl-root, & .MuiAutocomplete-root': { maxWidth: '100%' },
        }}
      >
        {children}
      </Box>
    </Box>
  );
}

/** What holds it. */
function Clip() {
  return (
    <svg
      width={58}
      height={26}
      viewBox="0 0 58 26"
      aria-hidden
      style={{ alignSelf: 'center', marginBottom: -9, zIndex: 1, flex: 'none' }}
    >
      <path d="M14 14a15 13 0 0 1 30 0" fill="none" stroke={COLOURS.inkSoft} strokeWidth={3} />
      <rect y={13} width={58} height={13} rx={2} fill={COLOURS.ink} />
    </svg>
  );
}

interface GroupProps {
  readonly title: string;
  /** The word of the glossary that explains it. */
  readonly term?: TermId;
  readonly children: ReactNode;
}

/** A row of fields under a small heading. */
export function Group({ title, term, children }: GroupProps) {
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
        {term === undefined ? title : <Explained term={term}>{title}</Explained>}
      </Box>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          columnGap: 'var(--ys-gap, 8px)',
          rowGap: 0.75,
          alignItems: 'flex-end',
        }}
      >
        {children}
      </Box>
    </Box>
  );
}

export function Groups({ children }: { readonly children: ReactNode }) {
  return <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, rowGap: 1 }}>{children}</Box>;
}
