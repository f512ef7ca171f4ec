import type { Cut, Programme } from '../core/impose';
import type { ImposedSheet } from '../core/job';
import { formatNumber } from '../core/measure';
import type { Desk } from './desk';
import type { OutputFile } from './file';
import { fileStem } from './file-name';

const HEAD = ['sheet', 'cut', 'pile', 'turn', 'back gauge mm', 'in front of the knife'];

/** The programme of the knife, for every sheet that it parts, as rows that any table program reads (RFC 4180). */
export function cuttingFiles({ job }: Desk, sheets: readonly ImposedSheet[]): readonly OutputFile[] {
  const cut = sheets.flatMap(({ name, cutting }) => (cutting ? [{ name, programme: cutting.programme }] : []));
  if (cut.length === 0) return [];
  const rows = cut.flatMap(({ name, programme }) => cuttingRows(name, programme));
  const text = [HEAD, ...rows].map((row) => row.map(quoted).join(',')).join('\r\n');
  return [
    { name: `${fileStem(job.name)}-cutting.csv`, type: 'text/csv', bytes: new TextEncoder().encode(`${text}\r\n`) },
  ];
}

const cuttingRows = (name: string, { cuts }: Programme): readonly (readonly string[])[] =>
  cuts.map(({ number, pile, turn, gauge, front }) => [
    name,
    String(number),
    String(pile),
    turn === 0 ? '' : `${turn}°`,
    formatNumber(gauge, 2),
    frontWords(front),
  ]);

/** What lies in front of the knife after a cut, in words. */
export const frontWords = (front: Cut['front']): string =>
  front.is === 'pile' ? `pile ${front.number}` : `${formatNumber(front.width, 2)} mm fall off`;

const quoted = (cell: string): string => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell);
