'use client';
import { writeBuild, type Build } from '@/core/colour';
import { readPaint } from '@/core/job';
import { MeasureField } from './MeasureField';

interface Props {
  readonly label: string;
  readonly value: Build;
  readonly width?: number | string;
  readonly name?: string;
  readonly onChange: (build: Build) => void;
}

/** A build of the four process inks, by which something is shown. */
export function BuildField({ label, value, onChange, ...rest }: Props) {
  return (
    <MeasureField<Build>
      label={label}
      shown={writeBuild(value)}
      read={(text) => {
        const read = readPaint(text);
        if (!read.ok) return read;
        if (read.value.kind !== 'process')
          return {
            ok: false,
            error: { at: 0, length: text.length, message: 'Write the build that shows it, as 0 20 60 20.' },
          };
        const { c, m, y, k } = read.value;
        return { ok: true, value: { c, m, y, k } };
      }}
      onChange={onChange}
      {...rest}
    />
  );
}
