'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { counted, formatNumber } from '@/core/measure';
import type { Remark, Reply } from '@/intake';
import { COLOURS, FACES } from '../shell/theme';
import type { HandedIn } from './use-replies';

const SIGN = { fault: '✕', warning: '▲', note: '●' } as const;
const COLOUR = { fault: COLOURS.fault, warning: COLOURS.warning, note: COLOURS.inkSoft } as const;
const ANSWER_COLOUR = {
  taken: COLOURS.accent,
  'taken with remarks': COLOURS.warning,
  'sent back': COLOURS.fault,
} as const;

/** What came back for a file: in one line, and each remark on wish. */
export function ReplyRow({ handed: { file, answer } }: { readonly handed: HandedIn }) {
  return (
    <Box
      component="li"
      data-on="paper"
      data-reply={answer.is === 'reply' ? answer.reply.answer : answer.is}
      sx={{ bgcolor: 'background.paper', color: 'text.primary', p: 1.5 }}
    >
      {answer.is === 'reply' ? (
        <Replied name={file.name} reply={answer.reply} />
      ) : (
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <b>{file.name}</b>
          <Box role={answer.is === 'problem' ? 'alert' : 'status'}>
            {answer.is === 'problem' ? answer.problem : 'The house looks at it.'}
          </Box>
        </Box>
      )}
    </Box>
  );
}

function Replied({ name, reply }: { readonly name: string; readonly reply: Reply }) {
  const { answer, pages, size, remarks } = reply;
  const [open, setOpen] = useState(answer === 'sent back');
  const mm = (value: number) => formatNumber(value, 1);
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'baseline', columnGap: 2, flexWrap: 'wrap' }}>
        <Box component="b" sx={{ flex: '1 1 200px', overflowWrap: 'anywhere' }}>
          {name}
        </Box>
        <Box sx={{ fontFamily: FACES.figure, fontSize: 13 }}>
          {counted(pages, 'page')} · {mm(size.width)} × {mm(size.height)} mm
        </Box>
        <Box sx={{ fontWeight: 700, color: ANSWER_COLOUR[answer] }}>{answer}</Box>
        {remarks.length > 0 && (
          <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close' : counted(remarks.length, 'remark')}
          </Button>
        )}
      </Box>
      {open && (
        <Box component="ol" aria-label={`Remarks on ${name}`} sx={{ m: 0, mt: 1, p: 0, listStyle: 'none' }}>
          {remarks.map((remark) => (
            <RemarkLine key={`${remark.rule} ${remark.found}`} remark={remark} />
          ))}
        </Box>
      )}
    </>
  );
}

/** So many pages are named; the rest are counted. */
const NAMED = 6;

function RemarkLine({
  remark: { rule, weight, title, found, wish, pages, count, where },
}: {
  readonly remark: Remark;
}) {
  const more = pages.length - NAMED;
  const word = pages.length > 1 ? 'pages' : 'page';
  const on =
    pages.length === 0 ? '' : `${word} ${pages.slice(0, NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
  // What begins at the corner is about the page as a whole.
  const isPlaced = where !== undefined && (where.x > 0.5 || where.y > 0.5);
  const at = isPlaced && `${formatNumber(where.x, 0)}, ${formatNumber(where.y, 0)} mm from the corner`;
  return (
    <Box
      component="li"
      data-remark={rule}
      sx={{ borderLeft: `4px solid ${COLOUR[weight]}`, pl: 1.25, py: 0.5, mb: 0.75, fontSize: 14, lineHeight: 1.35 }}
    >
      <Box sx={{ color: COLOUR[weight], fontWeight: 600 }}>
        <span aria-hidden>{SIGN[weight]}</span> {title}
        {count > 1 ? ` · ${count} places` : ''}
      </Box>
      <Box>{found}</Box>
      <Box sx={{ color: 'text.secondary', fontSize: 13 }}>
        {[on, at].filter(Boolean).join(' · ')}
        {on || at ? ' · ' : ''}Wanted: {wish}
      </Box>
    </Box>
  );
}
