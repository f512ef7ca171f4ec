'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import Link from 'next/link';
import { ApiError, api, wordsOf } from '../shell/api';

interface Props {
  readonly id: string;
  readonly error: unknown;
  readonly onAgain: () => void;
}

/** Why a job could not be opened, and what can be done. */
export function NotOpened({ id, error, onAgain }: Props) {
  const gone = error instanceof ApiError && error.status === 404;
  const readable = error instanceof ApiError ? error.details['readable'] : undefined;
  return (
    <Box sx={{ p: 6, display: 'grid', gap: 2, justifyItems: 'start' }}>
      <Alert severity="error">{wordsOf(error)}</Alert>
      {typeof readable === 'number' && <GoOnFrom id={id} revision={readable} onDone={onAgain} />}
      {!gone && <Button onClick={onAgain}>Try again</Button>}
      <Button component={Link} href="/" variant="contained">
        To the board
      </Button>
    </Box>
  );
}

/** Offers the newest state that can be read, where the newest cannot. */
function GoOnFrom({
  id,
  revision,
  onDone,
}: {
  readonly id: string;
  readonly revision: number;
  readonly onDone: () => void;
}) {
  const { mutate, isPending, error } = useMutation({ mutationFn: () => api.layOnTop(id, revision), onSuccess: onDone });
  return (
    <>
      <Button variant="contained" disabled={isPending} onClick={() => mutate()}>
        Go on from revision {revision}
      </Button>
      {error && <Alert severity="error">{wordsOf(error)}</Alert>}
    </>
  );
}
