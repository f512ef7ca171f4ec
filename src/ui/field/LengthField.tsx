'use client';
import { formatLength, parseLength, type Mm, type Unit } from '@/core/measure';
import { MeasureField } from './MeasureField';

interface Props {
  readonly label: string;
  readonly value: Mm;
  readonly unit: Unit;
  readonly ppi: number;
  readonly onChange: (mm: Mm) => void;
  readonly negative?: 'allowed' | 'refused';
  readonly held?: boolean;
  readonly hint?: string;
  readonly width?: number | string;
  readonly name?: string;
  /** A further condition. */
  readonly refuse?: (mm: Mm) => string | undefined;
}

/** A length in any unit, with arithmetic; shown in the job’s. */
export function LengthField({ value, unit, ppi, negative = 'refused', refuse, ...rest }: Props) {
  return (
    <MeasureField
      {...rest}
      shown={formatLength(value, unit, ppi)}
      read={(text) => parseLength(text, { unit, ppi })}
      refuse={(mm) => (negative === 'refused' && mm < 0 ? 'This length cannot be negative.' : refuse?.(mm))}
    />
  );
}
