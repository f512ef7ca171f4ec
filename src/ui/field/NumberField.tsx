'use client';
import { formatNumber, type Parsed } from '@/core/measure';
import { MeasureField } from './MeasureField';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly whole?: boolean;
  readonly after?: string;
  readonly onChange: (value: number) => void;
  readonly hint?: string;
  readonly width?: number | string;
  readonly name?: string;
}

/** A plain number within bounds. */
export function NumberField({ value, least, most, whole = false, after = '', ...rest }: Props) {
  const read = (text: string): Parsed<number> => {
    const number = Number(text.replace(after.trim(), '').replace(',', '.').trim());
    const isBad = text.trim() === '' || !Number.isFinite(number) || (whole && !Number.isInteger(number));
    if (!isBad && number >= least && number <= most) return { ok: true, value: number };
    const message = `A ${whole ? 'whole ' : ''}number from ${least} to ${most} is wanted.`;
    return { ok: false, error: { at: 0, length: text.length, message } };
  };
  return <MeasureField {...rest} shown={`${formatNumber(value, 3)}${after}`} read={read} />;
}
