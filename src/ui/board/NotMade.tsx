'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { wordsOf } from '../shell/api';

interface Props {
  /** What could not be made, as a word: drawn, checked. */
  readonly what: string;
  readonly name: string;
  readonly error: unknown;
  readonly onAgain: () => void;
}

/** Says on a card what of a job could not be made and why, with a way to try it again. */
export function NotMade({ what, name, error, onAgain }: Props) {
  return (
    <Box
      role="note"
      sx={{ position: 'relative', zIndex: 1, fontSize: 12.5, color: 'warning.main', fontWeight: 600, lineHeight: 1.25 }}
    >
      ▲ {wordsOf(error)}{' '}
      <Button
        size="small"
        onClick={onAgain}
        aria-label={`Try again: ${name} is not ${what}`}
        sx={{ minHeight: 24, minWidth: 0, fontSize: 12.5, p: 0, verticalAlign: 'baseline' }}
      >
        try again
      </Button>
    </Box>
  );
}
