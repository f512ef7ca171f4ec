'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import { shiftOf, totalInk, writeBuild, writeHex, type ColourEngine } from '@/core/colour';
import { inkOf } from '@/core/compose';
import { elementsOf, type Job, type Paint } from '@/core/job';
import { formatNumber } from '@/core/measure';
import { useDesk } from '../job/use-desk';
import { COLOURS, FACES } from '../shell/theme';
import { NumberField } from './NumberField';

interface Props {
  readonly label: string;
  readonly value: Paint | null;
  /** Whether there may be no paint at all. */
  readonly none?: string | undefined;
  readonly onChange: (paint: Paint | null) => void;
}

const buildOf = (paint: Paint, colour: ColourEngine) => {
  const ink = inkOf(paint, colour);
  return ink.kind === 'process' ? ink.build : { c: 0, m: 0, y: 0, k: 100 };
};

export const paintWords = (paint: Paint | null): string => {
  if (!paint) return 'none';
  switch (paint.kind) {
    case 'process':
      return writeBuild(paint);
    case 'paper':
      return 'paper';
    case 'rgb':
      return writeHex(paint);
  }
};

/** A colour: a build, the paper, or sRGB with the build it becomes and how far it moves. */
export function PaintField({ label, value, none, onChange }: Props) {
  const { resources, job } = useDesk();
  const { colour } = resources;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <Box>
      <Box sx={{ fontSize: 12, color: 'text.secondary', lineHeight: 1.6 }}>{label}</Box>
      <ButtonBase
        aria-label={`${label}: ${paintWords(value)}`}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ gap: 0.75, borderBottom: `1px solid ${COLOURS.inkSoft}`, py: 0.25, pr: 0.5 }}
      >
        <Chip paint={value} colour={colour} />
        <Box component="span" sx={{ fontFamily: FACES.figure, fontSize: 13 }}>
          {paintWords(value)}
        </Box>
      </ButtonBase>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      >
        <Box sx={{ p: 2, width: 330 }} onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}>
          <PaintEditor value={value} none={none} onChange={onChange} colour={colour} job={job} />
        </Box>
      </Popover>
    </Box>
  );
}

function Chip({
  paint,
  colour,
  size = 18,
}: {
  readonly paint: Paint | null;
  readonly colour: ColourEngine;
  readonly size?: number;
}) {
  const fill = paint ? writeHex(colour.toRgb(buildOf(paint, colour))) : '#ffffff';
  return (
    <svg width={size} height={size} aria-hidden>
      <rect x="0.5" y="0.5" width={size - 1} height={size - 1} fill={fill} stroke={COLOURS.inkSoft} />
      {!paint && <path d={`M1 ${size - 1}L${size - 1} 1`} stroke={COLOURS.fault} strokeWidth="1.5" />}
      {paint?.kind === 'paper' && (
        <path d={`M${size - 6} ${size - 0.5}V${size - 6}H${size - 0.5}`} fill="none" stroke={COLOURS.inkSoft} />
      )}
    </svg>
  );
}

function PaintEditor({
  value,
  none,
  onChange,
  colour,
  job,
}: Omit<Props, 'label'> & { colour: ColourEngine; job: Job }) {
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
        <ToggleButton value="rgb">sRGB</ToggleButton>
        <ToggleButton value="paper">Paper</ToggleButton>
        {none && <ToggleButton value="none">{none}</ToggleButton>}
      </ToggleButtonGroup>
      {value?.kind === 'process' && (
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
      {value?.kind === 'process' && <Total total={totalInk(value)} />}
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
      <Used job={job} colour={colour} onChange={onChange} />
    </Box>
  );
}

function Total({ total }: { readonly total: number }) {
  const { rules } = useDesk();
  const isOver = total > rules.inkLimit.value;
  return (
    <Box sx={{ fontSize: 13, color: isOver ? 'error.main' : 'text.secondary' }}>
      Total ink <b style={{ fontFamily: FACES.figure }}>{formatNumber(total, 0)} %</b> of {rules.inkLimit.value} %{' '}
      {isOver ? '✕ too much' : ''}
    </Box>
  );
}

/** What an sRGB colour becomes, and how far it moves: shown from the start. */
function ShiftWords({
  paint,
  colour,
  onTake,
}: {
  paint: Extract<Paint, { kind: 'rgb' }>;
  colour: ColourEngine;
  onTake: (paint: Paint) => void;
}) {
  const { build, deltaE, outOfGamut } = shiftOf(paint, colour);
  const whole = { c: Math.round(build.c), m: Math.round(build.m), y: Math.round(build.y), k: Math.round(build.k) };
  return (
    <Box sx={{ fontSize: 13, display: 'grid', gap: 0.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <svg width="72" height="28" aria-hidden>
          <rect width="36" height="28" fill={writeHex(paint)} />
          <rect x="36" width="36" height="28" fill={writeHex(colour.toRgb(build))} />
        </svg>
        <span>screen, and on this paper</span>
      </Box>
      <Box>
        Prints as <b style={{ fontFamily: FACES.figure }}>{writeBuild(build)}</b>, ΔE2000{' '}
        <b style={{ fontFamily: FACES.figure }}>{formatNumber(deltaE, 1)}</b>
      </Box>
      {outOfGamut && (
        <Box sx={{ color: 'error.main' }}>✕ Out of gamut: this paper cannot show it. It will look duller.</Box>
      )}
      <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => onTake({ kind: 'process', ...whole })}>
        Make it {writeBuild(build)}
      </Button>
    </Box>
  );
}

/** Colours that the job uses already. */
function Used({ job, colour, onChange }: { job: Job; colour: ColourEngine; onChange: (paint: Paint) => void }) {
  const used = new Map<string, Paint>();
  for (const { element } of job.pieces.flatMap(elementsOf)) {
    const paints = [
      'fill' in element ? element.fill : null,
      'stroke' in element ? (element.stroke?.paint ?? null) : null,
      element.kind === 'text' ? element.style.paint : null,
    ];
    for (const paint of paints) if (paint) used.set(paintWords(paint), paint);
  }
  if (used.size === 0) return null;
  return (
    <Box>
      <Box sx={{ fontSize: 12, color: 'text.secondary', mb: 0.5 }}>In this job</Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
        {[...used].slice(0, 24).map(([words, paint]) => (
          <ButtonBase key={words} aria-label={words} title={words} onClick={() => onChange(paint)}>
            <Chip paint={paint} colour={colour} size={26} />
          </ButtonBase>
        ))}
      </Box>
    </Box>
  );
}
