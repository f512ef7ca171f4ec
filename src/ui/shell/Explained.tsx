'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import { useState, type ReactNode } from 'react';
import type { TermId } from '@/core/glossary';
import { fetched } from './fetched';

/** The glossary is no part of what is seen first. */
const TermById = fetched(async () => (await import('./TermById')).TermById);

interface Props {
  readonly term: TermId;
  readonly children: ReactNode;
}

/** A word with its explanation behind it: dotted underneath, opened by a press. */
export function Explained({ term, children }: Props) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  return (
    <>
      <ButtonBase
        onClick={(event) => setAt(event.currentTarget)}
        aria-haspopup="dialog"
        title="What is this?"
        sx={{
          font: 'inherit',
          letterSpacing: 'inherit',
          textTransform: 'inherit',
          color: 'inherit',
          minHeight: 24,
          textDecoration: 'underline dotted',
          textUnderlineOffset: 3,
          '&:focus-visible': { outline: '2px solid' },
        }}
      >
        {children}
      </ButtonBase>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={() => setAt(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': 'What it is', elevation: 4 } }}
      >
        {/* As high as what is fetched will be: where it opens is found before it is there. */}
        <Box sx={{ p: 2, width: 320, maxWidth: '90vw', minHeight: 330 }}>
          <TermById id={term} />
        </Box>
      </Popover>
    </>
  );
}
