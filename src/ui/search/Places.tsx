'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import type { ReactNode } from 'react';
import { counted } from '@/core/measure';
import { useJob } from '../open-job/context';
import { COLOURS } from '../shell/theme';

/** Most places that are listed. */
const MOST = 200;

export interface Place {
  readonly key: string;
  readonly side: string;
  readonly element: string;
  readonly words: ReactNode;
  /** Replaces this one alone. */
  readonly onReplace?: (() => void) | undefined;
}

/** Where something was found; pressed, the bench shows the place. */
export function Places({ places, none }: { readonly places: readonly Place[]; readonly none: string }) {
  const show = useJob((s) => s.show);
  const select = useJob((s) => s.select);
  const selection = useJob((s) => s.selection);
  if (places.length === 0) return <Box sx={{ fontSize: 13.5, color: 'text.secondary' }}>{none}</Box>;
  return (
    <Box component="ol" aria-label="Places" sx={{ m: 0, p: 0, listStyle: 'none', overflowY: 'auto', minHeight: 0 }}>
      {places.slice(0, MOST).map(({ key, side, element, words, onReplace }) => (
        <Box
          component="li"
          key={key}
          sx={{ ...ROW, ...(selection.includes(element) && { bgcolor: COLOURS.sheetPale }) }}
        >
          <Link
            component="button"
            type="button"
            color="inherit"
            underline="hover"
            onClick={() => {
              show(side);
              select([element]);
            }}
            sx={{ flex: 1, minWidth: 0, textAlign: 'left', fontSize: 13, fontFamily: 'inherit', lineHeight: 1.3 }}
          >
            <Box component="span" sx={{ color: 'text.secondary', mr: 0.75 }}>
              {side}
            </Box>
            {words}
          </Link>
          {onReplace && (
            <Button size="small" onClick={onReplace} sx={{ flex: 'none', minHeight: 24 }}>
              Replace
            </Button>
          )}
        </Box>
      ))}
      {places.length > MOST && (
        <Box component="li" sx={{ fontSize: 13, color: 'text.secondary', py: 0.5 }}>
          and {places.length - MOST} more
        </Box>
      )}
    </Box>
  );
}

const ROW = { display: 'flex', gap: 1, alignItems: 'center', py: 0.5, borderTop: `1px solid ${COLOURS.line}` };

/** `1 place`, `12 places`. */
export const countOf = (count: number): string => counted(count, 'place');
