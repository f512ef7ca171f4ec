'use client';
import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import type { Command } from '../palette/commands';

const SHOWN: readonly { readonly id: string; readonly label: string }[] = [
  { id: 'add-text', label: 'Text' },
  { id: 'add-picture', label: 'Picture' },
  { id: 'add-rectangle', label: 'Box' },
  { id: 'add-ellipse', label: 'Oval' },
  { id: 'add-line', label: 'Line' },
];

/** What can be laid on the bench, in words. */
export function AddBar({ commands }: { readonly commands: () => readonly Command[] }) {
  const run = (id: string) =>
    commands()
      .find((c) => c.id === id)
      ?.run();
  return (
    <Box
      role="toolbar"
      aria-label="Add to this side"
      sx={{ display: 'flex', alignItems: 'center', gap: 0.75, ml: 'auto' }}
    >
      <Box component="span" sx={{ fontSize: 13, color: 'text.secondary' }}>
        Add
      </Box>
      {SHOWN.map(({ id, label }) => (
        <Button
          key={id}
          size="small"
          variant="outlined"
          title={commands().find((c) => c.id === id)?.keys[0] ?? ''}
          onClick={() => run(id)}
          sx={{ minWidth: 0, px: 1.25, bgcolor: '#fff' }}
        >
          {label}
        </Button>
      ))}
    </Box>
  );
}
