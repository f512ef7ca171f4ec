import { parseLength, formatNumber } from '../measure';
import { ok, text, wrong, type Parameter } from '../parameter';
import { DASHES, ROLES, type Dash, type LineStyle, type Role } from './mark';

/** At which lines are drawn where nothing is said [cp]. */
const USUAL_PT = 0.5;

const isDash = (word: string): word is Dash => DASHES.some((d) => d === word);
const isRole = (word: string): word is Role => ROLES.some((r) => r === word);

const MOST_LINES = 24;

type Read =
  { readonly ok: true; readonly value: readonly LineStyle[] } | { readonly ok: false; readonly message: string };

/** `solid 0.5pt, 2 x dashed 0.3pt pale`: the lines of a set from the top, each by its dash, weight and colour. */
export function readLineStyles(entry: string): Read {
  const styles: LineStyle[] = [];
  for (const part of entry.toLowerCase().split(',')) {
    const words = part
      .trim()
      .replace(/^(\d+)\s*[x×]\s*/, '$1x ')
      .split(/\s+/)
      .filter(Boolean);
    let times = 1;
    let style: LineStyle = { role: 'ink', weightPt: USUAL_PT, dash: 'solid' };
    if (words.length === 0)
      return {
        ok: false,
        message:
          'Each line is written as solid, dashed or dotted, with a weight and a colour if you like: solid ' +
          '0.5pt, dashed 0.3pt pale.',
      };
    for (const word of words) {
      const weight = parseLength(word, { unit: 'pt', ppi: 300 });
      if (/^\d+x$/.test(word)) times = Number(word.slice(0, -1));
      else if (isDash(word)) style = { ...style, dash: word };
      else if (isRole(word)) style = { ...style, role: word };
      else if (weight.ok && weight.value > 0 && weight.value <= 10)
        style = { ...style, weightPt: Math.round((weight.value / 25.4) * 72 * 1000) / 1000 };
      else
        return {
          ok: false,
          message:
            `“${word}” is neither a dash (${DASHES.join(', ')}), a colour (${ROLES.join(', ')}), a weight such ` +
            'as 0.5pt, nor 2x.',
        };
    }
    styles.push(...Array.from({ length: times }, () => style));
    if (styles.length > MOST_LINES) return { ok: false, message: `A set has at most ${MOST_LINES} lines.` };
  }
  return { ok: true, value: styles };
}

const writeStyle = ({ dash, weightPt, role }: LineStyle): string =>
  `${dash} ${formatNumber(weightPt, 3)}pt${role === 'ink' ? '' : ` ${role}`}`;

/** Lines in the short form: alike neighbours are counted. */
export function writeLineStyles(styles: readonly LineStyle[]): string {
  const parts: { text: string; times: number }[] = [];
  for (const style of styles) {
    const written = writeStyle(style);
    const last = parts.at(-1);
    if (last?.text === written) last.times += 1;
    else parts.push({ text: written, times: 1 });
  }
  return parts.map(({ text: t, times }) => (times > 1 ? `${times}x ${t}` : t)).join(', ');
}

/** A decision that is one or several line styles. */
export const lineStyles = (label: string, preset: string, help: string): Parameter<string> => ({
  ...text(label, preset, help, (entry) => {
    const read = readLineStyles(entry);
    return read.ok ? ok(writeLineStyles(read.value)) : wrong(entry, read.message);
  }),
  aside: true,
});

/** The styles of a decision that was read before. */
export const stylesOf = (entry: string): readonly LineStyle[] => {
  const read = readLineStyles(entry);
  return read.ok ? read.value : [];
};

/** The first style of a decision that is one line’s. */
export const styleOf = (entry: string): LineStyle =>
  stylesOf(entry)[0] ?? { role: 'ink', weightPt: USUAL_PT, dash: 'solid' };
