'use client';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import { useQuery } from '@tanstack/react-query';
import NextLink from 'next/link';
import { formatOf } from '@/core/format';
import type { AlikeFacts } from '@/core/job';
import { useJob } from '../../open-job/context';
import { ALIKE_WORDS, LOG_WORDS } from '../../open-job/log-words';
import { api } from '../../shell/api';
import { dayWords } from '../../shell/moments';
import { COLOURS } from '../../shell/theme';

/** What was written down of jobs like this one: it is seen where the next one begins. Nothing where nothing was. */
export function Lessons() {
  const { id, client, house, stock, pieces } = useJob((s) => s.job);
  const [piece] = pieces;
  const facts: AlikeFacts = {
    kind: (piece && formatOf(piece.kind)?.title) ?? '',
    client,
    printer: house.name,
    paper: stock.name,
  };
  const { data } = useQuery({ queryKey: ['lessons', facts, id], queryFn: () => api.lessons(facts, id) });
  if (!data || data.lessons.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="From jobs like this one"
      sx={{ mb: 3, p: 2, bgcolor: COLOURS.sheetPale, color: COLOURS.ink, fontSize: 14 }}
      data-on="paper"
    >
      <Box component="h2" sx={{ m: 0, mb: 1, typography: 'h2' }}>
        From jobs like this one
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.75 }}>
        {data.lessons.map(({ job, name, at, kind, text, alike }) => (
          <li key={`${job} ${at}`}>
            <b>{LOG_WORDS[kind]}</b>: {text}
            <Box sx={{ fontSize: 12.5 }}>
              <Link component={NextLink} href={`/jobs/${job}`} color="inherit">
                {name}
              </Link>
              , {dayWords(at.slice(0, 10))}; {alike.map((fact) => ALIKE_WORDS[fact]).join(', ')}
            </Box>
          </li>
        ))}
      </Box>
    </Box>
  );
}
