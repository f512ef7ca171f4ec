'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { memo, useState } from 'react';
import type { Figure, OverrideField } from '@/core/figure';
import { formatLength, formatNumber, parseLength, type JobUnit, type Parsed } from '@/core/measure';
import { useJob } from '../open-job/context';
import { MeasureField } from '../field/MeasureField';
import { fetched } from '../shell/fetched';
import { COLOURS, FACES } from '../shell/theme';
import { figureText } from './figure-text';
import { overrideFigure } from '@/core/edit';

/** The glossary is no part of what is seen first. */
const TermOfFigure = fetched(async () => (await import('../shell/TermById')).TermOfFigure);

/** One figure: pointing at it lights the measure on the bench, a press opens its working. */
export const SheetLine = memo(function SheetLine({
  figure,
  unit,
}: {
  readonly figure: Figure;
  readonly unit: JobUnit;
}) {
  const [open, setOpen] = useState(false);
  const point = useJob((s) => s.point);
  const text = figureText(figure, unit);
  const lit = () => point(figure.measured);
  const dark = () => point(undefined);
  return (
    <Box onPointerEnter={lit} onPointerLeave={dark} data-figure={figure.id}>
      <Box
        component="button"
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        onFocus={lit}
        onBlur={dark}
        sx={{
          all: 'unset',
          boxSizing: 'border-box',
          cursor: 'pointer',
          // What finds no room beside it stands below.
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'baseline',
          columnGap: 0.75,
          width: '100%',
          px: 2.5,
          py: '3.5px',
          fontSize: 14,
          borderBottom: `1px dotted ${COLOURS.sheetLine}`,
          borderLeft: `4px solid ${figure.override ? COLOURS.fold : 'transparent'}`,
          pl: '16px',
          '&:hover, &:focus-visible': { bgcolor: COLOURS.sheetPale },
          '&:focus-visible': { outline: `2px solid ${COLOURS.ink}`, outlineOffset: -2 },
        }}
      >
        <Box component="span" sx={{ minWidth: 84 }}>
          {figure.name}
        </Box>
        <Box component="span" sx={{ fontFamily: FACES.figure, fontWeight: 600 }}>
          {text.value}{' '}
          <Box component="span" sx={{ fontWeight: 400, color: COLOURS.sheetSoft }}>
            {text.unit}
          </Box>
        </Box>
        <Box
          component="span"
          sx={{
            fontFamily: FACES.figure,
            fontSize: 11.5,
            color: COLOURS.sheetSoft,
            whiteSpace: 'nowrap',
            ml: 'auto',
          }}
        >
          {figure.override ? 'set by hand' : text.other}
        </Box>
      </Box>
      {open && <Working figure={figure} unit={unit} />}
    </Box>
  );
});

function Working({ figure, unit }: { readonly figure: Figure; readonly unit: JobUnit }) {
  const change = useJob((s) => s.change);
  const { overridable, override } = figure;
  return (
    <Box sx={{ mx: 2.5, my: 0.75, p: 1.25, bgcolor: '#fff8dc', border: `1px solid ${COLOURS.sheetLine}` }}>
      {figure.working.map((step) => (
        <Box key={step} sx={{ fontFamily: FACES.figure, fontSize: 12, overflowWrap: 'anywhere' }}>
          {step}
        </Box>
      ))}
      <Box sx={{ fontSize: 12.5, color: COLOURS.sheetSoft, mt: 0.5 }}>{figure.rule}.</Box>
      <Box sx={{ mt: 1 }}>
        <TermOfFigure figure={figure.id} />
      </Box>
      {overridable && (
        <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 1, mt: 1 }}>
          <MeasureField
            label={override ? 'Set by hand' : 'Set by hand instead'}
            name={`override-${overridable}`}
            width={150}
            shown={written(figure, unit)}
            read={(typed) => readOverride(overridable, typed, unit)}
            onChange={(value) =>
              change(`Set ${figure.name.toLowerCase()}`, (now) => overrideFigure(now, overridable, value))
            }
          />
          {override && (
            <Button
              size="small"
              onClick={() =>
                change(`Take back ${figure.name.toLowerCase()}`, (now) => overrideFigure(now, overridable, undefined))
              }
            >
              Take back
            </Button>
          )}
        </Box>
      )}
    </Box>
  );
}

const isLength = (field: OverrideField): boolean => field === 'bleed' || field === 'safe' || field === 'markOffset';

function written(figure: Figure, unit: JobUnit): string {
  const value = typeof figure.value === 'number' ? figure.value : (figure.value[0] ?? 0);
  return figure.overridable && isLength(figure.overridable)
    ? formatLength(value, unit)
    : `${formatNumber(value)} ${figure.unit}`;
}

/** Bounds of the figures that are no lengths. */
const BOUNDS: Readonly<Record<Exclude<OverrideField, 'bleed' | 'safe' | 'markOffset'>, readonly [number, number]>> = {
  ppi: [1, 5000],
  inkLimit: [100, 400],
  minTypePt: [1, 100],
  minLinePt: [0.01, 10],
};

function readOverride(field: OverrideField, typed: string, unit: JobUnit): Parsed<number> {
  const bad = (message: string): Parsed<number> => ({ ok: false, error: { at: 0, length: typed.length, message } });
  if (field === 'bleed' || field === 'safe' || field === 'markOffset') {
    const read = parseLength(typed, { unit, ppi: 300 });
    return read.ok && (read.value < 0 || read.value > 1000) ? bad('A length from 0 to 1 m is wanted.') : read;
  }
  const number = Number(
    typed
      .replace(/ppi|pt|%/, '')
      .replace(',', '.')
      .trim(),
  );
  const [least, most] = BOUNDS[field];
  if (!Number.isFinite(number) || typed.trim() === '' || number < least || number > most)
    return bad(`A number from ${least} to ${most} is wanted.`);
  return { ok: true, value: number };
}
