'use client';
import Box from '@mui/material/Box';
import Link from 'next/link';
import { COLOURS } from './theme';

const PLACES = [
  { href: '/', label: 'Jobs' },
  { href: '/weeks', label: 'Weeks' },
  { href: '/books', label: 'Shop books' },
  { href: '/reckoner', label: 'Reckoner' },
  { href: '/intake', label: 'Intake' },
  { href: '/practice', label: 'Practice' },
  { href: '/glossary', label: 'Glossary' },
] as const;
export type Place = (typeof PLACES)[number]['href'];

/** The rooms outside a job. */
export function MainNav({ here }: { readonly here: Place }) {
  return (
    <Box component="nav" aria-label="Rooms" sx={{ display: 'flex', gap: 0.5, alignSelf: 'stretch' }}>
      {PLACES.map(({ href, label }) => (
        <Box
          key={href}
          component={Link}
          href={href}
          aria-current={here === href ? 'page' : undefined}
          sx={{
            display: 'flex',
            alignItems: 'center',
            px: 1.5,
            py: 0.75,
            fontSize: 15,
            fontWeight: 600,
            textDecoration: 'none',
            color: here === href ? COLOURS.ink : COLOURS.inkSoft,
            borderBottom: `3px solid ${here === href ? COLOURS.ink : 'transparent'}`,
            borderTop: '3px solid transparent',
          }}
        >
          {label}
        </Box>
      ))}
    </Box>
  );
}
