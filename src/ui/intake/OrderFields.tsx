'use client';
import Box from '@mui/material/Box';
import { formatLength, formatNumber, formatSize, parseLength, type Parsed } from '@/core/measure';
import { readSize, type Size } from '@/core/paper';
import { MeasureField } from '../field/MeasureField';
import type { Asked } from './order';

interface Props {
  readonly asked: Asked;
  readonly onChange: (order: Partial<Asked>) => void;
}

/** What was ordered, where it is known: the file is held to it as well. */
export function OrderFields({ asked: { pages, size, bleed }, onChange }: Props) {
  return (
    <Box role="group" aria-label="What was ordered" sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', mb: 2 }}>
      <MeasureField<number | undefined>
        label="pages ordered"
        placeholder="any"
        width={150}
        shown={pages === undefined ? '' : formatNumber(pages, 0)}
        read={optional(readPages)}
        onChange={(to) => onChange({ pages: to })}
      />
      <MeasureField<Size | undefined>
        label="finished size"
        placeholder="any"
        width={150}
        shown={size ? formatSize(size, 'mm') : ''}
        read={optional((text) => readSize(text, CONTEXT))}
        onChange={(to) => onChange({ size: to })}
      />
      <MeasureField<number | undefined>
        label="agreed bleed"
        placeholder="as the house asks"
        width={150}
        shown={bleed === undefined ? '' : formatLength(bleed, 'mm')}
        read={optional((text) => parseLength(text, CONTEXT))}
        refuse={(mm) => (mm !== undefined && (mm < 0 || mm > 500) ? 'Bleed is from 0 to 500 mm.' : undefined)}
        onChange={(to) => onChange({ bleed: to })}
      />
    </Box>
  );
}

const CONTEXT = { unit: 'mm', ppi: 300 } as const;

/** Nothing typed is nothing asked for. */
const optional =
  <T,>(read: (text: string) => Parsed<T>) =>
  (text: string): Parsed<T | undefined> =>
    text.trim() === '' ? { ok: true, value: undefined } : read(text);

function readPages(text: string): Parsed<number> {
  const pages = Number(text);
  if (Number.isInteger(pages) && pages >= 1 && pages <= 10_000) return { ok: true, value: pages };
  return { ok: false, error: { at: 0, length: text.length, message: 'A whole number of pages, from 1 to 10,000.' } };
}
