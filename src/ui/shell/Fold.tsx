'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useState, type ReactNode } from 'react';
import { Heading } from './Heading';

interface Props {
  readonly title: string;
  readonly count: number;
  /** Whether it stands open at first. */
  readonly opened?: boolean;
  readonly children: ReactNode;
}

/** A part of the sheet that opens: its heading says how much is in it. */
export function Fold({ title, count, opened = false, children }: Props) {
  const [open, setOpen] = useState(opened);
  return (
    <section aria-label={title}>
      <Heading tight>
        <ButtonBase
          onClick={() => setOpen(!open)}
          aria-expanded={open}
          sx={{
            font: 'inherit',
            letterSpacing: 'inherit',
            textTransform: 'inherit',
            minHeight: 24,
            '&:focus-visible': { outline: '2px solid' },
          }}
        >
          <span aria-hidden>{open ? '▾' : '▸'}&nbsp;</span>
          {title}
          {count > 0 ? ` · ${count}` : ''}
        </ButtonBase>
      </Heading>
      {open && <Box sx={{ px: 2.5, pb: 1, display: 'grid', gap: 0.75 }}>{children}</Box>}
    </section>
  );
}
