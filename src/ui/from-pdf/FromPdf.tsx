'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { House } from '@/core/shop';
import type { Reply } from '@/intake';
import { addAsset, type Added } from '../shell/bring-in';
import { api, wordsOf } from '../shell/api';
import { upload } from '../shell/upload';
import { FromPdfForm, type Brought } from './FromPdfForm';

interface Props {
  readonly file: File;
  /** Of the printers’ book; empty for none. */
  readonly printer: string;
  /** What a house said of the file, where it was asked already. */
  readonly reply?: Reply;
  readonly onClose: () => void;
}

/** Begins a job from somebody’s PDF. */
export function FromPdf({ file, printer, reply, onClose }: Props) {
  const [house, setHouse] = useState(printer);
  const { data: printers } = useQuery({ queryKey: ['printers'], queryFn: api.printers });
  const { data: brought, error } = useQuery({
    queryKey: ['from-pdf', file.name, file.size, file.lastModified],
    queryFn: () => broughtIn(file),
    retry: false,
    staleTime: Infinity,
  });
  // How far a house wants things to bleed decides what is near an edge.
  const { data: answer } = useQuery({
    queryKey: ['from-pdf', file.name, file.size, file.lastModified, house],
    queryFn: () => askedOf(file, house),
    enabled: brought !== undefined && (reply === undefined || house !== printer),
    retry: false,
    staleTime: Infinity,
  });
  const record: House | undefined = printers?.records.find(({ name }) => name === house);
  const near = (house === printer && reply ? reply : answer)?.near ?? [];
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="from-pdf-title">
      <DialogTitle id="from-pdf-title">Begin a job from {file.name}</DialogTitle>
      {brought ? (
        <FromPdfForm
          brought={brought}
          near={near}
          house={record}
          printers={printers?.records.map(({ name }) => name) ?? []}
          onHouse={setHouse}
          onClose={onClose}
        />
      ) : (
        <>
          <DialogContent>
            {error ? (
              <Alert severity="error">{wordsOf(error)}</Alert>
            ) : (
              <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
                <CircularProgress size={22} aria-label="Reading the PDF" /> The PDF is read.
              </Box>
            )}
          </DialogContent>
          <DialogActions>
            <Button onClick={onClose}>Close</Button>
          </DialogActions>
        </>
      )}
    </Dialog>
  );
}

async function broughtIn(file: File): Promise<Brought> {
  const added: Added = await addAsset(file);
  if (added.asset.kind !== 'document') throw new Error(`“${file.name}” is not a PDF.`);
  return { sha: added.sha, asset: added.asset };
}

const askedOf = async (file: File, printer: string): Promise<Reply> =>
  (await upload<{ reply: Reply }>(`/api/intake?printer=${encodeURIComponent(printer)}`, file)).reply;
