'use client';
import type { Parameter } from '@/core/format';
import type { JobUnit } from '@/core/measure';
import { ChoiceField } from './ChoiceField';
import { LinesField } from './LinesField';
import { MeasureField } from './MeasureField';

interface Props {
  readonly name: string;
  readonly parameter: Parameter;
  readonly value: unknown;
  readonly unit: JobUnit;
  readonly ppi: number;
  readonly resize: {
    /** Why a decision cannot be so. */
    readonly refuse: (name: string, value: unknown) => string | undefined;
    readonly set: (name: string, value: unknown) => void;
  };
  /** Left out, by its sort. */
  readonly width?: number | string;
}

const WIDTHS: Readonly<Record<Parameter['kind'], number>> = {
  size: 172,
  length: 92,
  count: 70,
  number: 80,
  choice: 132,
  allowance: 140,
  scale: 76,
  text: 190,
};

/** One decision of a kind of piece, in the way its sort wants. */
export function ParameterField({ name, parameter, value, unit, ppi, resize, width }: Props) {
  const label = parameter.label.toLowerCase();
  if (parameter.options) {
    return (
      <ChoiceField
        label={label}
        width={width ?? WIDTHS.choice}
        value={typeof value === 'string' ? value : ''}
        options={parameter.options}
        refuse={(to) => resize.refuse(name, to)}
        onChange={(to) => resize.set(name, to)}
      />
    );
  }
  const isSolved = parameter.default === null;
  if (parameter.isLong) {
    return (
      <LinesField
        label={label}
        name={name}
        shown={typeof value === 'string' ? value : ''}
        read={(text) => parameter.read(text, { unit, ppi })}
        refuse={(to) => resize.refuse(name, to)}
        onChange={(to) => resize.set(name, to)}
      />
    );
  }
  return (
    <MeasureField<unknown>
      label={label}
      name={name}
      width={
        width ??
        (parameter.kind === 'text' && typeof value === 'string' && value.length > 24 ? 320 : WIDTHS[parameter.kind])
      }
      shown={value === undefined ? '' : parameter.write(value, unit, ppi)}
      {...(isSolved && value === undefined && { placeholder: 'worked out' })}
      read={(text) =>
        isSolved && text.trim() === '' ? { ok: true, value: undefined } : parameter.read(text, { unit, ppi })
      }
      refuse={(to) => resize.refuse(name, to)}
      onChange={(to) => resize.set(name, to)}
    />
  );
}
