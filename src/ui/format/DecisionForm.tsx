'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { ReactNode, SyntheticEvent } from 'react';
import { COMMON_PARAMETERS, type Format, type Parameter } from '@/core/format';
import { blankOf, type Started } from '@/core/job';
import { formatNumber, formatSize, type JobUnit } from '@/core/measure';
import { goToInvalid } from '../field/first-invalid';
import { TypedParameter } from '../field/TypedParameter';
import { COLOURS, FACES } from '../shell/theme';

/** What was typed, by the names of the decisions. */
export type Typed = Readonly<Record<string, string>>;

/** The decisions that are asked when a piece of a format is begun. */
export const askedOf = (format: Format): Asked => ({ ...format.parameters, bleed: COMMON_PARAMETERS.bleed });

export type Asked = Readonly<Record<string, Parameter>>;

/** Of what was typed, that which is asked for. */
export const givenOf = (asked: Asked, typed: Typed): Typed =>
  Object.fromEntries(Object.entries(typed).filter(([key, text]) => Object.hasOwn(asked, key) && text.trim() !== ''));

interface Props {
  /** Where the kind is chosen by its picture. */
  readonly gallery: ReactNode;
  readonly asked: Asked;
  readonly about: string;
  readonly title: string;
  readonly name: string;
  readonly onName: (name: string) => void;
  /** What it is called while no name is typed. */
  readonly called: string;
  readonly typed: Typed;
  readonly onType: (typed: Typed) => void;
  readonly unit: JobUnit;
  /** What comes of what is typed. */
  readonly started: Started;
  /** Whether errors are shown of fields that were not touched. */
  readonly shown: boolean;
  /** What an empty field stands for, where that is not the usual value. */
  readonly kept?: (name: string) => string | undefined;
  /** The decisions as they are so far, where they are not those of the piece. */
  readonly decided?: Readonly<Record<string, unknown>> | undefined;
  /** Fields above the decisions. */
  readonly head: ReactNode;
  /** What is said below them. */
  readonly foot?: ReactNode;
  readonly verb: string;
  readonly sending: boolean;
  readonly onSubmit: () => void;
  readonly onClose: () => void;
}

/** A kind by its picture, its decisions as one would type them, and the sheet that fills in meanwhile. */
export function DecisionForm(props: Props) {
  const { gallery, asked, about, title, typed, onType, unit, started, shown, kept, head, foot, verb, sending } = props;
  const [piece] = started.ok ? started.job.pieces : [];
  const values = props.decided ?? piece?.decisions ?? givenOf(asked, typed);
  const errorOf = (key: string) =>
    !started.ok && started.parameter === key && (shown || (typed[key] ?? '').length > 1)
      ? started.error.message
      : undefined;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event: SyntheticEvent<HTMLElement>) => {
        event.preventDefault();
        if (!goToInvalid(event.currentTarget)) props.onSubmit();
      }}
      sx={{
        width: { xs: '100vw', sm: 'min(100vw, 920px)' },
        height: '100%',
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '1fr 400px' },
        overflow: { xs: 'auto', md: 'hidden' },
      }}
    >
      <Box sx={{ p: 2.5, overflowY: { md: 'auto' }, borderRight: `1px solid ${COLOURS.line}` }}>{gallery}</Box>
      <Box
        sx={{
          p: 2.5,
          display: 'grid',
          gap: 1.75,
          alignContent: 'start',
          gridAutoRows: 'max-content',
          overflowY: { md: 'auto' },
        }}
      >
        <div>
          <Box component="h2" sx={{ m: 0, typography: 'h2' }}>
            {title}
          </Box>
          <Box sx={{ fontSize: 14, color: 'text.secondary' }}>{about}</Box>
        </div>
        <TextField
          label="Name"
          value={props.name}
          autoFocus
          onChange={(event) => props.onName(event.target.value)}
          placeholder={props.called}
          slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 200 } }}
        />
        {head}
        {Object.entries(asked)
          .filter(([, p]) => !p.when || p.when(values))
          .map(([key, parameter]) => {
            const stands = kept?.(key) ?? (key === 'bleed' ? (unit === 'in' ? '1/8 in' : '3 mm') : undefined);
            return (
              <TypedParameter
                key={key}
                name={key}
                parameter={parameter}
                text={typed[key] ?? ''}
                imperial={unit === 'in'}
                error={errorOf(key)}
                {...(stands !== undefined && { placeholder: stands })}
                onChange={(text) => onType({ ...typed, [key]: text })}
              />
            );
          })}
        <Sheet started={started} unit={unit} />
        {foot}
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button type="submit" variant="contained" disabled={sending}>
            {verb}
          </Button>
          <Button onClick={props.onClose}>Leave it</Button>
        </Box>
      </Box>
    </Box>
  );
}

/** The first lines of the sheet that the job will have. */
function Sheet({ started, unit }: { readonly started: Started; readonly unit: JobUnit }) {
  const [piece] = started.ok ? started.job.pieces : [];
  const blank = started.ok && piece ? blankOf(started.job, piece) : undefined;
  return (
    <Box
      aria-live="polite"
      sx={{ bgcolor: COLOURS.sheet, p: 1.5, fontSize: 14, minHeight: 84, fontFamily: FACES.figure }}
    >
      {blank ? (
        <>
          <div>finished {formatSize(blank.finished, unit)}</div>
          {(blank.flat.width !== blank.finished.width || blank.flat.height !== blank.finished.height) && (
            <div>
              {blank.scale === 1 ? 'flat' : `drawn 1:${formatNumber(blank.scale)}`} {formatSize(blank.flat, unit)}
            </div>
          )}
          <div>with bleed {formatSize(blank.withBleed, unit)}</div>
          <div>
            at {blank.pixels.ppi} ppi {blank.pixels.withBleed.width} × {blank.pixels.withBleed.height} px
          </div>
        </>
      ) : (
        'The sheet fills in as you type.'
      )}
    </Box>
  );
}
