'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState, type DragEvent } from 'react';
import { ChoiceField } from '../field/ChoiceField';
import { api } from '../shell/api';
import { fetched } from '../shell/fetched';
import { filesOf } from '../shell/files-of';
import { Room } from '../shell/Room';
import { COLOURS } from '../shell/theme';
import type { Asked } from './order';
import { OrderFields } from './OrderFields';
import { ReplyRow } from './ReplyRow';
import { useReplies, type HandedIn } from './use-replies';

/** Forms are no part of what is seen first. */
const FromPdf = fetched(async () => (await import('../from-pdf/FromPdf')).FromPdf);

/** The print house at the other end: files are handed in, anybody’s, and it answers each by its own book. */
export function Intake() {
  const { data } = useQuery({ queryKey: ['printers'], queryFn: api.printers });
  const [asked, setAsked] = useState<Asked>({ printer: '' });
  const { printer } = asked;
  const ask = (more: Partial<Asked>) => setAsked((before) => ({ ...before, ...more }));
  const { list, handIn, clear, again, isOther } = useReplies(asked);
  const [begun, setBegun] = useState<HandedIn>();
  const input = useRef<HTMLInputElement>(null);
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    void filesOf(event.nativeEvent).then(handIn);
  };
  const fit = list.filter(({ answer }) => answer.is === 'reply' && answer.reply.answer !== 'sent back').length;
  return (
    <Room
      here="/intake"
      title="Intake"
      tools={
        <>
          <ChoiceField
            label="Printer"
            width={200}
            value={printer}
            options={[
              { value: '', label: 'common practice' },
              ...(data?.records ?? []).map(({ name }) => ({ value: name, label: name })),
            ]}
            onChange={(to) => ask({ printer: to })}
          />
          <Button variant="contained" onClick={() => input.current?.click()}>
            Hand in PDFs
          </Button>
          <input
            ref={input}
            hidden
            multiple
            type="file"
            accept="application/pdf,.pdf"
            aria-label="PDFs to hand in"
            onChange={(event) => {
              const files = [...(event.target.files ?? [])];
              event.target.value = '';
              void handIn(files);
            }}
          />
        </>
      }
    >
      <Box
        onDragOver={(event) => event.preventDefault()}
        onDrop={onDrop}
        sx={{ minHeight: 'calc(100dvh - 150px)', maxWidth: 1100 }}
      >
        <Box sx={{ mb: 2, maxWidth: 640, fontSize: 15 }}>
          What a print house says of a file, before it is sent: by its bytes alone, ours or anybody’s. Nothing is kept
          of it.
        </Box>
        <OrderFields asked={asked} onChange={ask} />
        {list.length === 0 ? (
          <Box sx={{ border: `1.5px dashed ${COLOURS.line}`, p: 5, textAlign: 'center', color: COLOURS.inkSoft }}>
            Drop PDFs here, or a folder of them.
          </Box>
        ) : (
          <>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1 }}>
              <Box role="status" sx={{ fontWeight: 600 }}>
                {fit} of {list.length} fit to print
              </Box>
              {isOther && (
                <Button size="small" variant="outlined" onClick={() => void again()}>
                  Ask again as it is now
                </Button>
              )}
              <Button size="small" onClick={clear}>
                Clear
              </Button>
            </Box>
            <Box component="ul" aria-label="Replies" sx={{ m: 0, p: 0, listStyle: 'none', display: 'grid', gap: 1.25 }}>
              {list.map((handed) => (
                <ReplyRow key={handed.key} handed={handed} house={printer} onBegin={() => setBegun(handed)} />
              ))}
            </Box>
          </>
        )}
      </Box>
      {begun && (
        <FromPdf
          file={begun.file}
          printer={printer}
          {...(begun.answer.is === 'reply' && { reply: begun.answer.reply })}
          onClose={() => setBegun(undefined)}
        />
      )}
    </Room>
  );
}
