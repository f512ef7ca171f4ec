'use client';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useDeferredValue, useState } from 'react';
import { TERMS, type Term } from '@/core/glossary';
import { Room } from '../shell/Room';
import { TermCard } from '../shell/TermCard';

const inOrder = [...TERMS].sort((a, b) => a.word.localeCompare(b.word));

const has = ({ word, what, why, usual }: Term, wanted: string): boolean =>
  `${word} ${what} ${why} ${usual}`.toLowerCase().includes(wanted);

/** The words of the trade, each with its drawing, its reason and its usual figures. */
export function Glossary() {
  const [search, setSearch] = useState('');
  const wanted = useDeferredValue(search.trim().toLowerCase());
  const found = inOrder.filter((term) => has(term, wanted));
  return (
    <Room
      here="/glossary"
      title="Glossary"
      tools={
        <TextField
          placeholder="Find a word"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          slotProps={{ htmlInput: { 'aria-label': 'Find a word' } }}
        />
      }
    >
      <Box sx={{ mb: 2, maxWidth: 640, fontSize: 15 }}>
        The words on the yellow sheet. Figures are common practice; those of your printer go first.
      </Box>
      {found.length === 0 && <Box role="status">No word has “{search}”. Try a shorter part of it.</Box>}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(280px, 1fr))', gap: 2.5 }}>
        {found.map((term) => (
          <Box
            key={term.id}
            component="article"
            id={term.id}
            data-on="paper"
            sx={{ bgcolor: 'background.paper', color: 'text.primary', p: 2 }}
          >
            <Box component="h2" sx={{ m: 0, mb: 1, typography: 'h2' }}>
              {term.word}
            </Box>
            <TermCard term={term} />
          </Box>
        ))}
      </Box>
    </Room>
  );
}
