'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import { useState, type ReactNode } from 'react';

interface Props {
  readonly label: string;
  /** How much is set behind it, so that it need not be opened to know. */
  readonly count?: number;
  readonly width?: number;
  readonly children: ReactNode;
}

/** A door to fields that are not always wanted, so that the slip stays low. */
export function Opener({ label, count = 0, width, children }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        size="small"
        variant="outlined"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="dialog"
        sx={count > 0 ? { fontWeight: 700 } : {}}
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
