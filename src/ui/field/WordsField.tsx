'use client';
import { MeasureField } from './MeasureField';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly width?: number | string;
  readonly refuse?: (words: string) => string | undefined;
  readonly onChange: (words: string) => void;
}

/** A few words, taken on Enter or on leaving. */
export function WordsField({ label, value, most, width, refuse, onChange }: Props) {
  return (
    <MeasureField
      label={label}
      shown={value}
      {...(width !== undefined && { width })}
      read={(text) =>
        text.length <= most
          ? { ok: true, value: text.trim() }
          : { ok: false, error: { at: most, length: text.length - most, message: `At most ${most} characters.` } }
      }
      {...(refuse && { refuse })}
      onChange={onChange}
    />
  );
}
