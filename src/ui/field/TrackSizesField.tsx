'use client';
import { readLength, writeLength, type TrackSizes } from '@/core/job';
import type { Parsed, Unit } from '@/core/measure';
import { MeasureField } from './MeasureField';
import { useMeasures } from './measures';

interface Props {
  readonly label: string;
  readonly value: TrackSizes | undefined;
  readonly unit: Unit;
  readonly ppi: number;
  readonly onChange: (sizes: TrackSizes | undefined) => void;
}

/** Sizes of columns or rows one by one, parted by semicolons; `rest` shares what is left; empty is equal parts. */
export function TrackSizesField({ label, value, unit, ppi, onChange }: Props) {
  const measures = useMeasures();
  const read = (text: string): Parsed<TrackSizes | undefined> => {
    if (text.trim() === '' || /^\s*equal\s*$/i.test(text)) return { ok: true, value: undefined };
    const sizes: TrackSizes = [];
    let at = 0;
    for (const part of text.split(';')) {
      if (/^\s*rest\s*$/i.test(part)) sizes.push(null);
      else {
        const length = readLength(part, { unit, ppi }, measures);
        if (!length.ok) return { ok: false, error: { ...length.error, at: at + length.error.at } };
        if (typeof length.value === 'number' && length.value < 0)
          return { ok: false, error: { at, length: part.length, message: 'A size cannot be negative.' } };
        sizes.push(length.value);
      }
      at += part.length + 1;
    }
    return sizes.length <= 100
      ? { ok: true, value: sizes }
      : { ok: false, error: { at: 0, length: text.length, message: 'At most 100 of them.' } };
  };
  const shown = value ? value.map((s) => (s === null ? 'rest' : writeLength(s, unit, ppi, measures))).join('; ') : 'equal'; // prettier-ignore
  return <MeasureField label={label} width={120} shown={shown} read={read} onChange={onChange} />;
}
