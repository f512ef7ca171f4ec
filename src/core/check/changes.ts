import type { Figure } from '../figure';
import type { Blank } from '../format';
import { formatLengthValue, formatNumber, type JobUnit } from '../measure';

/** What a change makes of the figures, in words: `Bleed 3 mm → 10 mm`. Figures that come or go are not named. */
export function figureChanges(before: Blank, after: Blank, unit: JobUnit): readonly string[] {
  const old = new Map(before.figures.map((f) => [f.id, f]));
  return after.figures.flatMap((figure) => {
    const was = old.get(figure.id);
    if (!was || figure.group === 'on the sheet') return [];
    const [from, to] = [inWords(was, unit), inWords(figure, unit)];
    return from === to ? [] : [`${figure.name} ${from} → ${to}`];
  });
}

function inWords(figure: Figure, unit: JobUnit): string {
  const values = [figure.value].flat();
  const isLength = figure.unit === 'mm';
  const texts = values.map((v) => (isLength ? formatLengthValue(v, unit) : formatNumber(v)));
  const same = texts.length === 4 && texts.every((t) => t === texts[0]);
  const word = isLength ? unit : figure.unit === 'count' ? '' : figure.unit;
  return `${same ? (texts[0] ?? '') : texts.join(texts.length === 2 ? ' × ' : ', ')} ${word}`.trim();
}
