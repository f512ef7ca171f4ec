'use client';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Paper from '@mui/material/Paper';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { X } from 'lucide-react';
import { useState } from 'react';
import { COLOURS } from '../shell/theme';
import { SearchColours } from './SearchColours';
import { SearchFamilies } from './SearchFamilies';
import { SearchWords } from './SearchWords';

const KINDS = { words: SearchWords, colours: SearchColours, families: SearchFamilies } as const;

/** Looks for words, colours and families in the whole piece, shows each place on the bench, and replaces them. */
export function Search({ onClose }: { readonly onClose: () => void }) {
  const [kind, setKind] = useState<keyof typeof KINDS>('words');
  const Kind = KINDS[kind];
  return (
    <Paper
      role="search"
      aria-label="Find in the job"
      elevation={6}
      onKeyDown={(event) => {
        // What is typed here is meant for nobody else.
        event.stopPropagation();
        if (event.key === 'Escape') onClose();
      }}
      sx={{
        position: 'absolute',
        top: 8,
        right: 12,
        zIndex: 4,
        width: 340,
        maxHeight: 'calc(100% - 16px)',
        display: 'flex',
        flexDirection: 'column',
        gap: 1.25,
        p: 1.5,
        border: `1px solid ${COLOURS.line}`,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={kind}
          aria-label="What is looked for"
          onChange={(_, to: keyof typeof KINDS | null) => to && setKind(to)}
        >
          <ToggleButton value="words">Words</ToggleButton>
          <ToggleButton value="colours">Colours</ToggleButton>
          <ToggleButton value="families">Type</ToggleButton>
        </ToggleButtonGroup>
        <IconButton size="small" aria-label="Close" title="Escape" onClick={onClose}>
          <X size={18} aria-hidden />
        </IconButton>
      </Box>
      <Kind />
    </Paper>
  );
}
