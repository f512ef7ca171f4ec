'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { SolidPaint, SpotInk, Swatch } from '@/core/job';
import { ChoiceField } from './ChoiceField';
import { NumberField } from './NumberField';

type Spot = Extract<SolidPaint, { kind: 'spot' }>;
type Named = Extract<SolidPaint, { kind: 'swatch' }>;

/** Which spot inks a colour has, and how much of each. */
export function SpotShares({
  value,
  inks,
  onChange,
}: {
  readonly value: Spot;
  readonly inks: readonly SpotInk[];
  readonly onChange: (paint: Spot) => void;
}) {
  const set = (at: number, share: Partial<Spot['spots'][number]>) =>
    onChange({ ...value, spots: value.spots.map((s, i) => (i === at ? { ...s, ...share } : s)) });
  const free = inks.find(({ name }) => !value.spots.some((s) => s.ink === name));
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {value.spots.map((share, i) => (
        <Box key={share.ink} sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end' }}>
          <ChoiceField
            label={`spot ${i + 1}`}
            width={130}
            value={share.ink}
            options={inks
              .filter(({ name }) => name === share.ink || !value.spots.some((s) => s.ink === name))
              .map(({ name }) => ({ value: name, label: name }))}
            onChange={(ink) => set(i, { ink })}
          />
          <NumberField
            label="tint"
            name={`spot-tint-${i + 1}`}
            value={share.tint}
            least={0}
            most={100}
            width={62}
            after=" %"
            onChange={(tint) => set(i, { tint })}
          />
          {value.spots.length > 1 && (
            <Button
              size="small"
              onClick={() => onChange({ ...value, spots: value.spots.filter((_, n) => n !== i) })}
              aria-label={`Without ${share.ink}`}
            >
              Take out
            </Button>
          )}
        </Box>
      ))}
      {free && (
        <Button
          size="small"
          sx={{ justifySelf: 'start' }}
          onClick={() => onChange({ ...value, spots: [...value.spots, { ink: free.name, tint: 100 }] })}
        >
          Mix with {free.name}
        </Button>
      )}
    </Box>
  );
}

/** Which named colour, and how much of it. */
export function SwatchChoice({
  value,
  swatches,
  onChange,
}: {
  readonly value: Named;
  readonly swatches: readonly Swatch[];
  readonly onChange: (paint: Named) => void;
}) {
  return (
    <Box sx={{ display: 'flex', gap: 1.5 }}>
      <ChoiceField
        label="colour"
        width={150}
        value={value.swatch}
        options={swatches.map(({ name }) => ({ value: name, label: name }))}
        onChange={(swatch) => onChange({ ...value, swatch })}
      />
      <NumberField
        label="tint"
        name="swatch-tint"
        value={value.tint}
        least={0}
        most={100}
        width={62}
        after=" %"
        onChange={(tint) => onChange({ ...value, tint })}
      />
    </Box>
  );
}

type Laying = 'rule' | 'knock out' | 'overprint';

/** Whether a colour cuts away what is beneath it. */
export function LaidOver({
  value,
  onChange,
}: {
  readonly value: Exclude<SolidPaint, { kind: 'paper' }>;
  readonly onChange: (paint: SolidPaint) => void;
}) {
  const { overprint, ...rest } = value;
  const now: Laying = overprint === undefined ? 'rule' : overprint ? 'overprint' : 'knock out';
  return (
    <ChoiceField<Laying>
      label="on what is beneath"
      width={190}
      value={now}
      options={[
        { value: 'rule', label: 'by rule: black type overprints' },
        { value: 'knock out', label: 'knocks out' },
        { value: 'overprint', label: 'overprints' },
      ]}
      onChange={(to) => onChange(to === 'rule' ? rest : { ...rest, overprint: to === 'overprint' })}
    />
  );
}
