'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { COLOURS } from '../shell/theme';

interface Props {
  readonly title: string;
  /** What the bench shows, or what has to be done before it can. */
  readonly says: string;
  readonly adds: string;
  /** Nothing where there is nothing to add yet. */
  readonly onAdd: (() => void) | undefined;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** What a line or a coating has to be told, and the choice: the bench shows it meanwhile. */
export function FinishForm({ title, says, adds, onAdd, onClose, children }: Props) {
  return (
    <Box
      component="form"
      role="group"
      aria-label={title}
      onSubmit={(event) => {
        event.preventDefault();
        onAdd?.();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
      sx={{ display: 'grid', gap: 1, p: 1.25, mx: -1.25, bgcolor: COLOURS.sheetPale }}
    >
      {children}
      <Box role="status" sx={{ fontSize: 12.5, color: COLOURS.sheetSoft }}>
        {says}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {onAdd && (
          <Button type="submit" size="small" variant="contained">
            {adds}
          </Button>
        )}
        <Button size="small" onClick={onClose}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
}
