import { paintsOf, styleBook, type SolidPaint } from '../element';
import { totalInk, writeBuild, writeHex } from '../colour';
import { formatNumber } from '../measure';
import { elementsOf } from './inherit';
import type { Job } from './schema';

/** A paint in words that are the same for the same paint. */
export function paintKey(paint: SolidPaint): string {
  switch (paint.kind) {
    case 'process':
      return writeBuild(paint);
    case 'rgb':
      return writeHex(paint);
    case 'paper':
      return 'paper';
    case 'spot':
      return writeSpots(paint);
    case 'swatch':
      return paint.tint === 100 ? `“${paint.swatch}”` : `“${paint.swatch}” ${formatNumber(paint.tint, 1)} %`;
  }
}

/** `Silver 60 % + 0 0 0 20` */
function writeSpots(paint: Extract<SolidPaint, { kind: 'spot' }>): string {
  const spots = paint.spots.map(({ ink, tint }) => (tint === 100 ? ink : `${ink} ${formatNumber(tint, 1)} %`));
  return [...spots, ...(totalInk(paint) > 0 ? [writeBuild(paint)] : [])].join(' + ');
}

/** The paints of a job by their words, those of its styles first. */
export function paintsUsed(job: Job): ReadonlyMap<string, SolidPaint> {
  const book = styleBook(job);
  const said = job.styles.flatMap(({ look }) => (look.paint ? [look.paint] : []));
  const laid = job.pieces.flatMap(elementsOf).flatMap(({ element }) => paintsOf(element, book));
  return new Map([...said, ...laid].map((paint) => [paintKey(paint), paint]));
}
