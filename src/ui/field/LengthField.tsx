'use client';
import { lengthIn, readLength, writeLength, type Length } from '@/core/job';
import type { Mm, Unit } from '@/core/measure';
import { useMeasures } from './measures';
import { MeasureField } from './MeasureField';

interface Common {
  readonly label: string;
  readonly unit: Unit;
  readonly ppi: number;
  readonly negative?: 'allowed' | 'refused';
  readonly held?: boolean;
  readonly hint?: string;
  readonly width?: number | string;
  readonly name?: string;
  /** A further condition. */
  readonly refuse?: (mm: Mm) => string | undefined;
}

interface Props extends Common {
  readonly value: Mm;
  readonly onChange: (mm: Mm) => void;
}

/**
 * A length in any unit, with arithmetic and named measures; shown in the job’s unit. It takes the value of a measure
 * as it is now.
 */
export function LengthField({ onChange, ...rest }: Props) {
  const measures = useMeasures();
  return <HeldLengthField {...rest} onChange={(length) => onChange(lengthIn(length, measures))} />;
}

interface HeldProps extends Common {
  readonly value: Length;
  readonly onChange: (length: Length) => void;
}

/** The same, for what keeps to a named measure when that changes. */
export function HeldLengthField({ value, unit, ppi, negative = 'refused', refuse, ...rest }: HeldProps) {
  const measures = useMeasures();
  return (
    <MeasureField
      {...rest}
      shown={writeLength(value, unit, ppi, measures)}
      read={(text) => readLength(text, { unit, ppi }, measures)}
      refuse={(length) => {
        const mm = lengthIn(length, measures);
        return negative === 'refused' && mm < 0 ? 'This length cannot be negative.' : refuse?.(mm);
      }}
    />
  );
}
