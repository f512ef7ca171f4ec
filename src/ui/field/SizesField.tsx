'use client';
import { isMeasureRef, readLength, writeLength, type Extent } from '@/core/job';
import type { Parsed, Unit } from '@/core/measure';
import { MeasureField } from './MeasureField';
import { useMeasures } from './measures';

interface Props<W extends string | null> {
  readonly label: string;
  readonly name?: string;
  readonly value: readonly (Extent | W)[] | undefined;
  /** What may stand in place of a length, by the word for it. */
  readonly words: Readonly<Record<string, W>>;
  /** What the field says while nothing is given one by one. */
  readonly none: string;
  readonly most: number;
  readonly unit: Unit;
  readonly ppi: number;
  readonly width?: number;
  readonly onChange: (sizes: (Extent | W)[] | undefined) => void;
}

/** Sizes one by one, parted by semicolons: lengths, or words for what is not given. */
export function SizesField<W extends string | null>({
  label,
  name,
  value,
  words,
  none,
  most,
  unit,
  ppi,
  width = 120,
  onChange,
}: Props<W>) {
  const measures = useMeasures();
  const isLength = (size: Extent | W): size is Extent => typeof size === 'number' || isMeasureRef(size);
  const read = (text: string): Parsed<(Extent | W)[] | undefined> => {
    if (text.trim() === '' || text.trim().toLowerCase() === none) return { ok: true, value: undefined };
    const sizes: (Extent | W)[] = [];
    let at = 0;
    for (const part of text.split(';')) {
      const word = part.trim().toLowerCase();
      const meant = words[word];
      if (meant !== undefined) sizes.push(meant);
      else {
        const length = readLength(part, { unit, ppi }, measures);
        if (!length.ok) return { ok: false, error: { ...length.error, at: at + length.error.at } };
        if (typeof length.value === 'number' && length.value < 0)
          return { ok: false, error: { at, length: part.length, message: 'A size cannot be negative.' } };
        sizes.push(length.value);
      }
      at += part.length + 1;
    }
    return sizes.length <= most
      ? { ok: true, value: sizes }
      : { ok: false, error: { at: 0, length: text.length, message: `At most ${most} of them.` } };
  };
  const wordFor = (size: W) => Object.entries(words).find(([, meant]) => meant === size)?.[0] ?? '';
  const shown = value
    ? value.map((s) => (isLength(s) ? writeLength(s, unit, ppi, measures) : wordFor(s))).join('; ')
    : none;
  return (
    <MeasureField label={label} {...(name && { name })} width={width} shown={shown} read={read} onChange={onChange} />
  );
}
