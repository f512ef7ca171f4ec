'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Remark } from '@/intake';
import { placeWords } from '@/intake/reply-words';
import { COLOURS } from './theme';

const SIGN = { fault: '✕', warning: '▲', note: '●' } as const;
const COLOUR = { fault: COLOURS.fault, warning: COLOURS.warning, note: COLOURS.inkSoft } as const;

interface Props {
  readonly remark: Remark;
  /** A picture of the place, as an address; empty for none. */
  readonly picture: string;
  /** What can be done about it. */
  readonly children?: ReactNode;
}

/** What a print house says of one thing in a file. */
export function RemarkBox({ remark, picture, children }: Props) {
  const { rule, weight, title, found, wish, pages, count } = remark;
  const place = placeWords(remark);
  return (
    <Box
      component="li"
      data-remark={rule}
      sx={{
        borderLeft: `4px solid ${COLOUR[weight]}`,
        pl: 1.25,
        py: 0.5,
        mb: 0.75,
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1.5,
        alignItems: 'flex-start',
        fontSize: 14,
        lineHeight: 1.35,
      }}
    >
      <Box sx={{ flex: '1 1 220px', minWidth: 0 }}>
        <Box sx={{ color: COLOUR[weight], fontWeight: 600 }}>
          <span aria-hidden>{SIGN[weight]}</span> {title}
          {count > 1 ? ` · ${count} places` : ''}
        </Box>
        <Box>{found}</Box>
        <Box sx={{ color: 'text.secondary', fontSize: 13 }}>
          {place}
          {place !== '' && ' · '}Wanted: {wish}
        </Box>
        {children}
      </Box>
      {picture !== '' && (
        <Box
          component="img"
          src={picture}
          alt={`The place on page ${pages[0] ?? 1}`}
          sx={{ width: 160, height: 100, flex: 'none', border: `1px solid ${COLOURS.line}` }}
        />
      )}
    </Box>
  );
}
