'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useId, useMemo } from 'react';
import { COPIES, suggestedBy, type DriftSide } from '@/core/drift';
import { changePiece } from '@/core/edit';
import { edges } from '@/core/layout';
import { MM_PER_INCH, formatLength, formatNumber } from '@/core/measure';
import { isImperial } from '@/core/rules';
import { MACHINE_TITLES } from '@/core/shop';
import { NumberField } from '../field/NumberField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { Heading } from '../shell/Heading';
import { COLOURS, FACES } from '../shell/theme';
import { usePileView, type PileMode } from '../view/pile-view';
import { offWords } from './off-words';
import { usePile } from './use-pile';

const MODES: readonly { readonly mode: PileMode; readonly words: string }[] = [
  { mode: 'none', words: 'As meant' },
  { mode: 'one', words: 'One copy' },
  { mode: 'fan', words: 'The pile' },
  { mode: 'all', words: 'All cuts' },
];

/** How far off the figures of the house a house may be, either way. */
const [CAREFUL, CARELESS] = [0.25, 2];

/** A thousand copies, as the machines make them: which of them the bench shows, and how good the house is. */
export function CopiesFields() {
  const { mode, copy, care, set } = usePileView();
  const { job, blank } = useDesk();
  const pile = usePile();
  const careLabel = useId();
  if (!pile) return null;
  const { trimming } = pile.side.line;
  const drift = trimming.figures.drift * blank.scale * care;
  const shown = pile.copies[copy];
  const show = (to: number) => set({ mode: 'one', copy: to });
  return (
    <section aria-label="Copies">
      <Heading>A thousand copies</Heading>
      <Box sx={{ px: 2.5, py: 0.5, display: 'grid', gap: 0.75 }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          fullWidth
          value={mode}
          onChange={(_event, to: PileMode | null) => to && set({ mode: to })}
          aria-label="What is shown of the copies"
        >
          {MODES.map(({ mode: value, words }) => (
            <ToggleButton key={value} value={value} sx={{ px: 0.5, py: 0.25, textTransform: 'none' }}>
              {words}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end', pl: '4px' }}>
          <NumberField
            label="copy"
            width={84}
            whole
            value={copy + 1}
            least={1}
            most={COPIES}
            onChange={(to) => show(to - 1)}
          />
          <Button size="small" variant="outlined" onClick={() => show(pile.usual)}>
            Usual
          </Button>
          <Button size="small" variant="outlined" onClick={() => show(pile.worst)}>
            Worst
          </Button>
        </Box>
        <Box>
          <Box id={careLabel} sx={{ fontSize: 13 }}>
            <b>
              {MACHINE_TITLES[trimming.by]} ± {formatLength(drift, job.unit)}
            </b>
            <Box component="span" sx={{ color: COLOURS.sheetSoft, fontSize: 12.5, display: 'block' }}>
              {care === 1 ? trimming.rule : `${formatNumber(care, 2)} × its figure`}
            </Box>
          </Box>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, fontSize: 12.5, color: COLOURS.sheetSoft }}>
            careful
            <Slider
              size="small"
              value={care}
              min={CAREFUL}
              max={CARELESS}
              step={0.25}
              marks={[{ value: 1 }]}
              aria-labelledby={careLabel}
              onChange={(_event, to: number | readonly number[]) => set({ care: typeof to === 'number' ? to : 1 })}
            />
            careless
          </Box>
        </Box>
        <Suggestion side={pile.side} />
        {mode === 'one' && shown && (
          <Box role="status" data-off sx={{ fontSize: 13, fontFamily: FACES.figure }}>
            {offWords(pile.side, shown, (mm) => formatLength(Math.round(mm * blank.scale * 20) / 20, job.unit))}
          </Box>
        )}
      </Box>
    </section>
  );
}

/** What the machines ask of the layout, and the safe margin taken from it. */
function Suggestion({ side }: { readonly side: DriftSide }) {
  const { job, blank } = useDesk();
  const change = useJob((s) => s.change);
  const { clear, border } = useMemo(() => suggestedBy(side), [side]);
  // Up to the next half of a millimetre, or sixty-fourth of an inch.
  const step = isImperial(job.unit) ? MM_PER_INCH / 64 : 0.5;
  const safe = Math.ceil((clear * blank.scale) / step) * step;
  const write = (mm: number) => formatLength(mm, job.unit);
  // Less than the house or common practice wants is never advised.
  const isWanting = Object.values(blank.safe).some((mm) => mm < safe - 1e-6);
  if (safe <= 0) return null;
  return (
    <Box sx={{ fontSize: 12.5, lineHeight: 1.35 }} data-suggested>
      One copy in a thousand is cut {write(Math.round(clear * blank.scale * 10) / 10)} inside its trim: words stand
      clear of it from <b>{write(safe)}</b> on
      {border > 0 && (
        <>
          , a border looks even from <b>{write(Math.ceil(border * blank.scale * 2) / 2)}</b> on
        </>
      )}
      .{' '}
      {isWanting && (
        <Button
          size="small"
          onClick={() => change('Safe margin', (now) => changePiece(now, (piece) => ({ ...piece, safe: edges(safe) })))}
        >
          Take {write(safe)} as safe margin
        </Button>
      )}
    </Box>
  );
}
