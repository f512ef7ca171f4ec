'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import TextField from '@mui/material/TextField';
import { useState, type ReactNode } from 'react';
import { COLOURS } from '../shell/theme';

export interface GalleryItem {
  readonly id: string;
  readonly title: string;
  readonly about: string;
  /** More words by which it is found. */
  readonly words: string;
  readonly group: string;
  readonly picture: ReactNode;
}

interface Props {
  readonly label: string;
  readonly search: string;
  readonly example: string;
  readonly items: readonly GalleryItem[];
  readonly chosen: string | undefined;
  /** Said where nothing is found. */
  readonly none: string;
  /** Narrowest that a picture stands, px. */
  readonly least?: number;
  readonly onChoose: (id: string) => void;
}

/** Things to choose from by their pictures, in groups, found by name or by what they are. */
export function Gallery({ label, search, example, items, chosen, none, least = 108, onChoose }: Props) {
  const [typed, setTyped] = useState('');
  const word = typed.trim().toLowerCase();
  const found = items.filter(
    (i) => word === '' || `${i.title} ${i.about} ${i.words} ${i.group}`.toLowerCase().includes(word),
  );
  const groups = [...new Set(found.map((i) => i.group))];
  const [first] = found;
  return (
    <Box role="radiogroup" aria-label={label} sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
      <TextField
        label={search}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && first) {
            event.preventDefault();
            onChoose(first.id);
          }
        }}
        placeholder={example}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {!first && (
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
          Nothing has “{typed}” in it. {none}
        </Box>
      )}
      {groups.map((group) => (
        <Box key={group} component="section" aria-label={group}>
          <Box
            sx={{
              fontSize: 11,
              fontWeight: 700,
              letterSpacing: '0.09em',
              textTransform: 'uppercase',
              color: 'text.secondary',
              mb: 0.5,
            }}
          >
            {group}
          </Box>
          <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(auto-fill, minmax(${least}px, 1fr))`, gap: 0.75 }}>
            {found
              .filter((i) => i.group === group)
              .map(({ id, title, about, picture }) => (
                <ButtonBase
                  key={id}
                  role="radio"
                  aria-checked={id === chosen}
                  aria-label={title}
                  title={about}
                  onClick={() => onChoose(id)}
                  sx={{
                    display: 'grid',
                    justifyItems: 'center',
                    alignContent: 'start',
                    gap: 0.25,
                    p: 0.75,
                    fontFamily: 'inherit',
                    fontSize: 13,
                    lineHeight: 1.2,
                    fontWeight: id === chosen ? 700 : 500,
                    bgcolor: id === chosen ? COLOURS.sheet : COLOURS.header,
                    border: `1px solid ${id === chosen ? COLOURS.ink : COLOURS.line}`,
                    borderRadius: 0.5,
                    '&:hover': { bgcolor: id === chosen ? COLOURS.sheet : COLOURS.sheetPale },
                  }}
                >
                  {picture}
                  {title}
                </ButtonBase>
              ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
