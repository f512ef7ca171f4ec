'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { FORMATS, GROUPS, type Format, type Group } from '@/core/format';
import type { JobUnit } from '@/core/measure';
import { COLOURS } from '../shell/theme';
import { FormatPicture } from './FormatPicture';

export const GROUP_WORDS: Readonly<Record<Group, string>> = {
  flat: 'Flat sheets',
  folded: 'Folded',
  bound: 'Bound',
  wrap: 'Wraps',
  large: 'Large',
  label: 'Labels',
  'die-cut': 'Die-cut',
  own: 'Own',
};

interface Props {
  readonly chosen: string | undefined;
  readonly unit: JobUnit;
  readonly onChoose: (format: Format) => void;
}

/** Every kind of piece by its picture, found by name or by what it is. */
export function FormatGallery({ chosen, unit, onChoose }: Props) {
  const [search, setSearch] = useState('');
  const word = search.trim().toLowerCase();
  const fits = (f: Format) => word === '' || `${f.title} ${f.kind} ${f.about} ${f.group}`.toLowerCase().includes(word);
  const groups = GROUPS.map((group) => ({ group, formats: FORMATS.filter((f) => f.group === group && fits(f)) }));
  const first = groups.flatMap((g) => g.formats)[0];
  return (
    <Box role="radiogroup" aria-label="Kind of piece" sx={{ display: 'grid', gap: 1.5, alignContent: 'start' }}>
      <TextField
        label="Find a kind"
        value={search}
        onChange={(event) => setSearch(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && first) {
            event.preventDefault();
            onChoose(first);
          }
        }}
        placeholder="fold, label, card …"
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {!first && (
        <Box sx={{ fontSize: 14, color: 'text.secondary' }}>
          No kind has “{search}” in it. Own format takes any outline.
        </Box>
      )}
      {groups
        .filter((g) => g.formats.length > 0)
        .map(({ group, formats }) => (
          <Box key={group} component="section" aria-label={GROUP_WORDS[group]}>
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
              {GROUP_WORDS[group]}
            </Box>
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(108px, 1fr))', gap: 0.75 }}>
              {formats.map((format) => (
                <ButtonBase
                  key={format.kind}
                  role="radio"
                  aria-checked={format.kind === chosen}
                  aria-label={format.title}
                  title={format.about}
                  onClick={() => onChoose(format)}
                  sx={{
                    display: 'grid',
                    justifyItems: 'center',
                    alignContent: 'start',
                    gap: 0.25,
                    p: 0.75,
                    fontFamily: 'inherit',
                    fontSize: 13,
                    lineHeight: 1.2,
                    fontWeight: format.kind === chosen ? 700 : 500,
                    bgcolor: format.kind === chosen ? COLOURS.sheet : COLOURS.header,
                    border: `1px solid ${format.kind === chosen ? COLOURS.ink : COLOURS.line}`,
                    borderRadius: 0.5,
                    '&:hover': { bgcolor: format.kind === chosen ? COLOURS.sheet : COLOURS.sheetPale },
                  }}
                >
                  <FormatPicture format={format} unit={unit} />
                  {format.title}
                </ButtonBase>
              ))}
            </Box>
          </Box>
        ))}
    </Box>
  );
}
