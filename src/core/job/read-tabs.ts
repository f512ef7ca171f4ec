import { isMeasureRef, type TabStop } from '../element';
import { formatLength, parseLength, type FieldContext, type Parsed } from '../measure';

const ALIGNS: readonly TabStop['align'][] = ['left', 'centre', 'right', 'decimal'];

/**
 * Tab stops as they are written: `40 right ., 60 decimal`. A place, how words stand at it (left where nothing is said),
 * and what fills the way to it; parted by commas.
 */
export function readTabs(text: string, context: FieldContext): Parsed<TabStop[]> {
  const stops: TabStop[] = [];
  let at = 0;
  for (const part of text.split(/,(?=\s|$)|;/)) {
    const words = [...part.matchAll(/\S+/g)];
    const [place, ...rest] = words;
    if (place) {
      const length = parseLength(place[0], context);
      if (!length.ok) return { ok: false, error: { ...length.error, at: at + place.index + length.error.at } };
      const stop: TabStop = { at: length.value, align: 'left', leader: '' };
      for (const word of rest) {
        const align = ALIGNS.find((a) => a === word[0].toLowerCase());
        if (align) stop.align = align;
        else if (word[0].length <= 4 && stop.leader === '') stop.leader = word[0];
        else
          return {
            ok: false,
            error: {
              at: at + word.index,
              length: word[0].length,
              message: 'A stop is written 40 right, or 40 right . with a leader.',
            },
          };
      }
      stops.push(stop);
    }
    at += part.length + 1;
  }
  if (stops.length > 40) return { ok: false, error: { at: 0, length: text.length, message: 'At most forty stops.' } };
  return { ok: true, value: stops };
}

export const writeTabs = (tabs: readonly TabStop[], { unit, ppi }: FieldContext): string =>
  tabs
    .map(({ at, align, leader }) => {
      const place = isMeasureRef(at) ? String(at.plus ?? 0) : formatLength(at, unit, ppi);
      return [place, align === 'left' ? '' : align, leader].filter(Boolean).join(' ');
    })
    .join(', ');
