'use client';
import type { Lab } from '@/core/colour';
import { formatNumber } from '@/core/measure';
import { MeasureField } from './MeasureField';

interface Props {
  readonly label: string;
  /** Left out where nobody measured it. */
  readonly value: Lab | undefined;
  readonly width?: number | string;
  readonly onChange: (lab: Lab | undefined) => void;
}

const NUMBER = /-?\d+(?:[.,]\d+)?/g;

/** A measured colour, L* a* b*; empty where there is none. */
export function LabField({ label, value, width, onChange }: Props) {
  const write = (n: number) => formatNumber(n, 1);
  return (
    <MeasureField<Lab | undefined>
      label={label}
      shown={value ? `${write(value.L)} ${write(value.a)} ${write(value.b)}` : ''}
      placeholder="not measured"
      {...(width !== undefined && { width })}
      read={(text) => {
        if (text.trim() === '') return { ok: true, value: undefined };
        const [L, a, b, ...more] = (text.replaceAll('−', '-').match(NUMBER) ?? []).map((n) =>
          Number(n.replace(',', '.')),
        );
        const isWhole = L !== undefined && a !== undefined && b !== undefined && more.length === 0;
        if (!isWhole || L < 0 || L > 100 || Math.abs(a) > 128 || Math.abs(b) > 128)
          return {
            ok: false,
            error: { at: 0, length: text.length, message: 'Write L* a* b* as they were measured: 62 4 -18.' },
          };
        return { ok: true, value: { L, a, b } };
      }}
      onChange={onChange}
    />
  );
}
