'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { counted, formatNumber } from '@/core/measure';
import { wordsOf, type HouseAnswer } from '../shell/api';
import { useSay } from '../shell/Messages';
import { RemarkBox } from '../shell/RemarkBox';
import { saveReply } from '../shell/save-reply';
import { COLOURS, FACES } from '../shell/theme';
import type { HandedIn } from './use-replies';

const ANSWER_COLOUR = {
  taken: COLOURS.accent,
  'taken with remarks': COLOURS.warning,
  'sent back': COLOURS.fault,
} as const;

interface Props {
  readonly handed: HandedIn;
  /** Whose reply it is; empty for common practice. */
  readonly house: string;
  /** Begins a job from the file. */
  readonly onBegin: () => void;
}

/** What came back for a file: in one line, and each remark on wish. */
export function ReplyRow({ handed: { file, answer }, house, onBegin }: Props) {
  return (
    <Box
      component="li"
      data-on="paper"
      data-reply={answer.is === 'reply' ? answer.reply.answer : answer.is}
      sx={{ bgcolor: 'background.paper', color: 'text.primary', p: 1.5 }}
    >
      {answer.is === 'reply' ? (
        <Replied name={file.name} house={house} answer={answer} onBegin={onBegin} />
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

interface RepliedProps extends Pick<Props, 'onBegin'> {
  readonly name: string;
  readonly house: string;
  readonly answer: HouseAnswer;
}

function Replied({ name, house, answer: { reply, pictures }, onBegin }: RepliedProps) {
  const say = useSay();
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
        <Button
          size="small"
          onClick={() =>
            void saveReply({ reply, pictures }, name, house).catch((error: unknown) =>
              say({ tone: 'problem', text: wordsOf(error) }),
            )
          }
        >
          Save the reply
        </Button>
        <Button size="small" variant="outlined" onClick={onBegin}>
          Begin a job
        </Button>
      </Box>
      {open && (
        <Box component="ol" aria-label={`Remarks on ${name}`} sx={{ m: 0, mt: 1, p: 0, listStyle: 'none' }}>
          {remarks.map((remark, i) => (
            <RemarkBox key={`${remark.rule} ${remark.found}`} remark={remark} picture={pictures[i] ?? ''} />
          ))}
        </Box>
      )}
    </>
  );
}
