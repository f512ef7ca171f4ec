'use client';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { totalLaid, type Laid } from '@/core/colour';
import { solidInk, type PaintBook } from '@/core/compose';
import { BLACK, paintKey, paintsUsed, readPaint, type Job, type Paint, type SolidPaint } from '@/core/job';
import { formatNumber } from '@/core/measure';
import { useDesk } from '../open-job/use-desk';
import { FACES } from '../shell/theme';
import { Chip, buildOf, solidOf } from './Chip';
import { FromBench } from './FromBench';
import { GradientEditor, firstGradient } from './GradientEditor';
import { MeasureField } from './MeasureField';
import { NumberField } from './NumberField';
import { ShiftWords } from './ShiftWords';
import { LaidOver, SpotShares, SwatchChoice } from './SpotFields';

interface Props {
  readonly label: string;
  readonly value: Paint | null;
  /** Whether there may be no paint at all. */
  readonly none?: string | undefined;
  /** Whether it may be a gradient. */
  readonly gradient?: boolean;
  readonly onChange: (paint: Paint | null) => void;
}

export interface SolidProps {
  readonly label: string;
  readonly value: SolidPaint | null;
  readonly none?: string | undefined;
  readonly onChange: (paint: SolidPaint | null) => void;
}

/** A colour that is the same all over. */
export const SolidPaintField = ({ onChange, ...rest }: SolidProps) => (
  <PaintField {...rest} onChange={(paint) => onChange(paint && solidOf(paint))} />
);

export const paintWords = (paint: Paint | null): string => {
  if (!paint) return 'none';
  return paint.kind === 'gradient' ? `${paint.shape}, ${paint.stops.length} stops` : paintKey(paint);
};

const NONE = /^\s*none\s*$/i;

/** A colour: a build, the paper, or sRGB with the build it becomes and how far it moves. */
export function PaintField({ label, value, none, gradient = false, onChange }: Props) {
  const { paints: colour, job } = useDesk();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 0.5 }}>
      <ButtonBase
        aria-label={`${label}: ${paintWords(value)}`}
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ mb: '6px' }}
      >
        <Chip paint={value} colour={colour} />
      </ButtonBase>
      <MeasureField<SolidPaint | null>
        label={label}
        width={value?.kind === 'gradient' ? 112 : 94}
        shown={paintWords(value)}
        read={(text) => (none && NONE.test(text) ? { ok: true, value: null } : readPaint(text, job))}
        onChange={onChange}
      />
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': `Colour of ${label}` } }}
      >
        <Box
          sx={{ p: 2, width: value?.kind === 'gradient' ? 460 : 340 }}
          onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}
        >
          <PaintEditor
            value={value}
            none={none}
            gradient={gradient}
            onChange={onChange}
            onClose={() => setAnchor(null)}
            colour={colour}
            job={job}
          />
        </Box>
      </Popover>
    </Box>
  );
}

function PaintEditor({
  value,
  none,
  gradient,
  onChange,
  onClose,
  colour,
  job,
}: Omit<Props, 'label'> & { colour: PaintBook; job: Job; onClose: () => void }) {
  const kind = value?.kind ?? 'none';
  const change = (to: Paint['kind'] | 'none' | null) => {
    const build = value ? buildOf(value, colour) : { c: 0, m: 0, y: 0, k: 100 };
    switch (to) {
      case 'process':
        return onChange({
          kind: 'process',
          c: Math.round(build.c),
          m: Math.round(build.m),
          y: Math.round(build.y),
          k: Math.round(build.k),
        });
      case 'rgb': {
        const { r, g, b } = colour.toRgb(build);
        return onChange({ kind: 'rgb', r: Math.round(r), g: Math.round(g), b: Math.round(b) });
      }
      case 'paper':
        return onChange({ kind: 'paper' });
      case 'spot': {
        const [first] = job.inks ?? [];
        return first && onChange({ kind: 'spot', c: 0, m: 0, y: 0, k: 0, spots: [{ ink: first.name, tint: 100 }] });
      }
      case 'swatch': {
        const [first] = job.swatches ?? [];
        return first && onChange({ kind: 'swatch', swatch: first.name, tint: 100 });
      }
      case 'gradient':
        return onChange(firstGradient(value ? solidOf(value) : BLACK));
      case 'none':
        return onChange(null);
      case null:
        return;
    }
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={kind}
        onChange={(_event, to: Paint['kind'] | 'none' | null) => change(to)}
        aria-label="Kind of colour"
      >
        <ToggleButton value="process">Build</ToggleButton>
        {job.inks && job.inks.length > 0 && <ToggleButton value="spot">Spot</ToggleButton>}
        {job.swatches && job.swatches.length > 0 && <ToggleButton value="swatch">Named</ToggleButton>}
        <ToggleButton value="rgb">sRGB</ToggleButton>
        <ToggleButton value="paper">Paper</ToggleButton>
        {gradient && <ToggleButton value="gradient">Gradient</ToggleButton>}
        {none && <ToggleButton value="none">{none}</ToggleButton>}
      </ToggleButtonGroup>
      {value?.kind === 'spot' && <SpotShares value={value} inks={job.inks ?? []} onChange={onChange} />}
      {value?.kind === 'swatch' && <SwatchChoice value={value} swatches={job.swatches ?? []} onChange={onChange} />}
      {(value?.kind === 'process' || value?.kind === 'spot') && (
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          {(['c', 'm', 'y', 'k'] as const).map((ink) => (
            <NumberField
              key={ink}
              label={ink.toUpperCase()}
              name={`ink-${ink}`}
              value={value[ink]}
              least={0}
              most={100}
              width={62}
              after=" %"
              onChange={(percent) => onChange({ ...value, [ink]: percent })}
            />
          ))}
        </Box>
      )}
      {value && value.kind !== 'gradient' && value.kind !== 'paper' && <Total laid={solidInk(value, colour)} />}
      {value?.kind === 'rgb' && (
        <>
          <Box sx={{ display: 'flex', gap: 1.5 }}>
            {(['r', 'g', 'b'] as const).map((channel) => (
              <NumberField
                key={channel}
                label={channel.toUpperCase()}
                name={`channel-${channel}`}
                value={value[channel]}
                least={0}
                most={255}
                whole
                width={62}
                onChange={(byte) => onChange({ ...value, [channel]: byte })}
              />
            ))}
          </Box>
          <ShiftWords paint={value} colour={colour} onTake={onChange} />
        </>
      )}
      {value?.kind === 'gradient' && <GradientEditor value={value} onChange={onChange} Solid={SolidPaintField} />}
      {value && value.kind !== 'gradient' && value.kind !== 'paper' && <LaidOver value={value} onChange={onChange} />}
      {value?.kind !== 'gradient' && (
        <>
          <Used job={job} colour={colour} onChange={onChange} />
          <FromBench onChange={onChange} onClose={onClose} colour={colour} />
        </>
      )}
    </Box>
  );
}

function Total({ laid }: { readonly laid: Laid }) {
  const { rules } = useDesk();
  const total = totalLaid(laid);
  const isOver = total > rules.inkLimit.value;
  return (
    <Box sx={{ fontSize: 13, color: isOver ? 'error.main' : 'text.secondary' }}>
      Total ink <b style={{ fontFamily: FACES.figure }}>{formatNumber(total, 0)} %</b> of {rules.inkLimit.value} %{' '}
      {isOver ? '✕ too much' : ''}
    </Box>
  );
}

/** Colours of the client’s kit, and those that the job uses already. */
function Used({ job, colour, onChange }: { job: Job; colour: PaintBook; onChange: (paint: SolidPaint) => void }) {
  const kit = (job.kit?.colours ?? []).map(({ name, paint }) => [name, paint] as const);
  const named = (job.swatches ?? []).map(
    ({ name }) => [name, { kind: 'swatch', swatch: name, tint: 100 } satisfies SolidPaint] as const,
  );
  return (
    <>
      <Chips title="Named colours" paints={named} colour={colour} onChange={onChange} />
      <Chips title={`Kit of ${job.kit?.name ?? ''}`} paints={kit} colour={colour} onChange={onChange} />
      <Chips title="In this job" paints={[...paintsUsed(job)]} colour={colour} onChange={onChange} />
    </>
  );
}

interface ChipsProps {
  readonly title: string;
  readonly paints: readonly (readonly [words: string, paint: SolidPaint])[];
  readonly colour: PaintBook;
  readonly onChange: (paint: SolidPaint) => void;
}

function Chips({ title, paints, colour, onChange }: ChipsProps) {
  if (paints.length === 0) return null;
  return (
    <Box>
      <Box sx={{ fontSize: 12, color: 'text.secondary', mb: 0.5 }}>{title}</Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
        {paints.slice(0, 24).map(([words, paint]) => (
          <ButtonBase
            key={words}
            aria-label={words}
            title={`${words}: ${paintKey(paint)}`}
            onClick={() => onChange(paint)}
          >
            <Chip paint={paint} colour={colour} size={26} />
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
