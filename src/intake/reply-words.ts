import { counted, formatNumber } from '../core/measure';
import type { Remark, Reply } from './reply';

/** On a page the weight is told by a word: not every typeface has signs. */
const WEIGHT = { fault: 'Fault', warning: 'Remark', note: 'Note' } as const;

/** So many pages are named; the rest are counted. */
const NAMED = 6;

/** On which pages something is, and where on the first of them; empty for the whole file. */
export function placeWords({ pages, where }: Pick<Remark, 'pages' | 'where'>): string {
  const more = pages.length - NAMED;
  const word = pages.length > 1 ? 'pages' : 'page';
  const on =
    pages.length === 0 ? '' : `${word} ${pages.slice(0, NAMED).join(', ')}${more > 0 ? ` and ${more} more` : ''}`;
  // What begins at the corner is about the page as a whole.
  const isPlaced = where !== undefined && (where.x > 0.5 || where.y > 0.5);
  const at = isPlaced ? `${formatNumber(where.x, 0)}, ${formatNumber(where.y, 0)} mm from the corner` : '';
  return [on, at].filter(Boolean).join(' · ');
}

/** A reply in the words that stand on its page. */
export function replyWords({ answer, pages, size, remarks }: Reply) {
  const mm = (value: number) => formatNumber(value, 1);
  return {
    answer: `${answer.charAt(0).toUpperCase()}${answer.slice(1)}`,
    facts: `${counted(pages, 'page')} · ${mm(size.width)} × ${mm(size.height)} mm`,
    lines: remarks.map((remark) => ({
      weight: WEIGHT[remark.weight],
      title: `${remark.title}${remark.count > 1 ? ` · ${remark.count} places` : ''}`,
      found: remark.found,
      wish: remark.wish,
      place: placeWords(remark),
    })),
  };
}
