'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ComponentType } from 'react';
import type { Gradient, SolidPaint } from '@/core/job';
import { ChoiceField } from './ChoiceField';
import { NumberField } from './NumberField';

/** From a colour to the bare paper, downward. */
export const firstGradient = (paint: SolidPaint): Gradient => ({
  kind: 'gradient',
  shape: 'linear',
  angle: 90,
  length: 100,
  centre: { x: 0.5, y: 0.5 },
  stops: [
    { at: 0, paint, opacity: 1 },
    { at: 100, paint: { kind: 'process', c: 0, m: 0, y: 0, k: 0 }, opacity: 1 },
  ],
});

/** The field that a stop’s colour is chosen in: handed in, because a gradient is itself chosen in one. */
type SolidField = ComponentType<{
  readonly label: string;
  readonly value: SolidPaint | null;
  readonly onChange: (paint: SolidPaint | null) => void;
}>;

/** Where a gradient runs, and its stops. */
export function GradientEditor({
  value,
  onChange,
  Solid,
}: {
  readonly value: Gradient;
  readonly onChange: (to: Gradient) => void;
  readonly Solid: SolidField;
}) {
  const set = (values: Partial<Gradient>) => onChange({ ...value, ...values });
  const { stops } = value;
  const put = (i: number, values: Partial<Gradient['stops'][number]>) =>
    set({ stops: stops.map((s, j) => (j === i ? { ...s, ...values } : s)) });
  const add = () => {
    const [a, b] = [stops.at(-2), stops.at(-1)];
    if (a && b) set({ stops: [...stops.slice(0, -1), { ...a, at: (a.at + b.at) / 2 }, b] });
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <ChoiceField
          label="runs"
          width={84}
          value={value.shape}
          options={[
            { value: 'linear', label: 'linear' },
            { value: 'radial', label: 'radial' },
          ]}
          onChange={(shape) => set({ shape })}
        />
        {value.shape === 'linear' && (
          <NumberField
            label="angle"
            value={value.angle}
            least={-360}
            most={360}
            width={60}
            after="°"
            onChange={(angle) => set({ angle })}
          />
        )}
        <NumberField
          label="length"
          value={value.length}
          least={1}
          most={1000}
          width={66}
          after=" %"
          onChange={(length) => set({ length })}
        />
        <NumberField
          label="middle across"
          value={value.centre.x * 100}
          least={-500}
          most={500}
          width={84}
          after=" %"
          onChange={(x) => set({ centre: { ...value.centre, x: x / 100 } })}
        />
        <NumberField
          label="middle down"
          value={value.centre.y * 100}
          least={-500}
          most={500}
          width={84}
          after=" %"
          onChange={(y) => set({ centre: { ...value.centre, y: y / 100 } })}
        />
      </Box>
      {stops.map((stop, i) => (
        <Box key={i} role="group" aria-label={`Stop ${i + 1}`} sx={{ display: 'flex', gap: 1, alignItems: 'flex-end' }}>
          <NumberField
            label="at"
            name={`stop-${i + 1}-at`}
            value={stop.at}
            least={0}
            most={100}
            width={60}
            after=" %"
            onChange={(at) => put(i, { at })}
          />
          <Solid label={`stop ${i + 1}`} value={stop.paint} onChange={(paint) => paint && put(i, { paint })} />
          <NumberField
            label="opacity"
            name={`stop-${i + 1}-opacity`}
            value={Math.round(stop.opacity * 100)}
            least={0}
            most={100}
            width={64}
            after=" %"
            onChange={(p) => put(i, { opacity: p / 100 })}
          />
          <Button
            size="small"
            disabled={stops.length <= 2}
            onClick={() => set({ stops: stops.filter((_, j) => j !== i) })}
          >
            Take out
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button size="small" variant="outlined" disabled={stops.length >= 50} onClick={add}>
          Add a stop
        </Button>
        <Button
          size="small"
          onClick={() => set({ stops: [...stops].reverse().map((s) => ({ ...s, at: 100 - s.at })) })}
        >
          Turn round
        </Button>
      </Box>
    </Box>
  );
}
