'use client';
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { counted, formatNumber, formatSize } from '@/core/measure';
import { useJob } from '../open-job/context';
import { useDesk, useFindings, type Desk } from '../open-job/use-desk';
import { COLOURS, FACES } from '../shell/theme';

/** What is said below the piece: one sentence, and the keys that matter now. */
interface Hint {
  readonly text: string;
  readonly keys: readonly (readonly [key: string, does: string])[];
}

/** Signs that stand in one line of the strip, and how two lines of more stand in it. */
const LONG = 76;
const TIGHT = { fontSize: 12, lineHeight: 1.2 } as const;

const COMMANDS = ['/', 'commands'] as const;

/** The strip below the bench. It is always there, so that nothing moves when what it says changes. */
export function HintStrip() {
  const { text, keys } = useHint();
  return (
    <Strip>
      <Box
        role="status"
        title={text}
        sx={{ flex: 1, minWidth: 0, whiteSpace: 'normal', ...(text.length > LONG && TIGHT) }}
      >
        {text}
      </Box>
      {[...keys, COMMANDS].map(([key, does]) => (
        // A phone has no keys.
        <Box key={key} component="span" sx={{ flex: 'none', display: { xs: 'none', sm: 'block' } }}>
          <Box component="b" sx={{ fontFamily: FACES.figure, color: COLOURS.ink }}>
            {key}
          </Box>{' '}
          {does}
        </Box>
      ))}
    </Strip>
  );
}

/** The strip itself. */
export function Strip({ children }: { readonly children: ReactNode }) {
  return (
    <Box
      sx={{
        flex: 'none',
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        height: 36,
        mx: 2,
        mb: 1.5,
        px: 1.75,
        bgcolor: 'background.paper',
        border: `1px solid ${COLOURS.line}`,
        borderRadius: 1,
        fontSize: 13.5,
        color: 'text.secondary',
        whiteSpace: 'nowrap',
      }}
    >
      {children}
    </Box>
  );
}

const things = (count: number): string => counted(count, 'element');

/** The piece in one line: what is held in the hand, and what is printed. */
function sizesOf({ blank, job }: Desk): string {
  const { finished, withBleed, scale } = blank;
  const real = { width: withBleed.width * scale, height: withBleed.height * scale };
  return `${formatSize(finished, job.unit)} finished, ${formatSize(real, job.unit)} with bleed.`;
}

function useHint(): Hint {
  const desk = useDesk();
  const { drawing, job } = desk;
  const station = useJob((s) => s.station);
  const selection = useJob((s) => s.selection);
  const typing = useJob((s) => s.typing);
  const editing = useJob((s) => s.editing);
  const framing = useJob((s) => s.framing);
  const picking = useJob((s) => s.picking);
  const findings = useFindings();
  if (picking) return { text: 'Press on the colour that is meant.', keys: [['Esc', 'none']] };
  if (typing) return { text: 'What is typed is set at once.', keys: [['Esc', 'done']] };
  if (editing) return { text: 'Drag a point or its handles; a double click puts one in.', keys: [['Esc', 'done']] };
  if (framing) return { text: 'The content moves, its frame stays.', keys: [['Esc', 'done']] };
  if (!station.steps) return { text: sizesOf(desk), keys: [] };
  const frames = drawing.frames.filter((f) => selection.includes(f.element));
  const [only] = frames;
  if (!only)
    return drawing.frames.length === 0
      ? { text: 'Nothing on this side yet.', keys: [] }
      : {
          text: `${things(drawing.frames.length)} on this side.`,
          keys: [
            ['Tab', 'steps through them'],
            ['Alt', 'what lies beneath'],
          ],
        };
  if (frames.length > 1) return { text: `${things(frames.length)} selected.`, keys: [['Ctrl+G', 'group']] };
  const finding = findings.find((f) => f.element === only.element);
  const turned = only.rotate === 0 ? '' : `, turned by ${formatNumber(only.rotate, 1)}°`;
  return {
    text: finding ? `${only.name}: ${finding.message}` : `${only.name}: ${formatSize(only.rect, job.unit)}${turned}.`,
    keys: [['Alt', 'what lies beneath']],
  };
}
