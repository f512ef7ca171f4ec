'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useState, type ReactNode } from 'react';
import { COLOURS } from '../shell/theme';

interface Props {
  readonly label: string;
  /** How much is set behind it, so that it need not be opened to know. */
  readonly count?: number;
  readonly width?: number;
  /** As a word in a line rather than a button. */
  readonly plain?: boolean;
  readonly children: ReactNode;
}

const PLAIN = {
  p: 0,
  minWidth: 0,
  minHeight: 0,
  lineHeight: 1.3,
  fontSize: 12.5,
  justifyContent: 'start',
  textAlign: 'left',
  color: COLOURS.accent,
};

/** A door to fields that are not always wanted, so that the slip stays low. */
export function Opener({ label, count = 0, width, plain = false, children }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        size="small"
        variant={plain ? 'text' : 'outlined'}
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="dialog"
        sx={{ ...(count > 0 && { fontWeight: 700 }), ...(plain && PLAIN) }}
      >
        {count > 0 ? `${label} (${count})` : label}
      </Button>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { 'aria-label': label, role: 'dialog' } }}
      >
        <Box
          sx={{ p: 1.75, ...(width && { width }), maxWidth: 'min(92vw, 720px)' }}
          onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}
        >
          {children}
        </Box>
      </Popover>
    </>
  );
}
