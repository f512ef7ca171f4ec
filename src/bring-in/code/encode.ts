import bwip from 'bwip-js/generic';
import type { CodeModules, Encoder, Symbology } from '../../core/code';

/** Names that the package has for them. */
const NAMES: Readonly<Record<Symbology, string>> = {
  'ean-13': 'ean13',
  'ean-8': 'ean8',
  'upc-a': 'upca',
  'itf-14': 'itf14',
  'code-128': 'code128',
  'gs1-128': 'gs1-128',
  qr: 'qrcode',
  'data-matrix': 'datamatrix',
};

/** What the package gives: bars and spaces in turn, or pixels row by row. */
interface Raw {
  readonly sbs?: readonly number[];
  readonly pixs?: readonly number[];
  readonly pixx?: number;
  readonly pixy?: number;
}

/** A square code costs milliseconds: what was made is kept. */
const known = new Map<string, ReturnType<Encoder>>();
const MOST_KNOWN = 500;

/** The modules of a code, from a package that knows the standards; sizes and inks are ours. */
export const encode: Encoder = (need) => {
  const key = JSON.stringify(need);
  const before = known.get(key);
  if (before) return before;
  if (known.size >= MOST_KNOWN) known.clear();
  const made = encoded(need);
  known.set(key, made);
  return made;
};

const encoded: Encoder = ({ symbology, data, level }) => {
  try {
    const options = {
      bcid: NAMES[symbology],
      text: data,
      ...(symbology === 'qr' && { eclevel: level }),
      // Only squares: a rectangle is another shape of frame.
      ...(symbology === 'data-matrix' && { format: 'square' }),
    };
    const [raw] = bwip.raw(options) as readonly Raw[];
    return raw ? { ok: true, modules: modulesOf(raw) } : { ok: false, problem: 'It cannot be made into a code.' };
  } catch (error) {
    return { ok: false, problem: problemOf(error, data.length) };
  }
};

function modulesOf({ sbs, pixs, pixx = 0, pixy = 0 }: Raw): CodeModules {
  if (sbs) {
    let at = 0;
    const runs = sbs.flatMap((long, i) => {
      const from = at;
      at += long;
      return i % 2 === 0 && long > 0 ? [{ row: 0, at: from, long }] : [];
    });
    return { wide: at, high: 1, runs };
  }
  const runs: { row: number; at: number; long: number }[] = [];
  for (let row = 0; row < pixy; row += 1)
    for (let at = 0; at < pixx; at += 1) {
      if (!pixs?.[row * pixx + at]) continue;
      const from = at;
      while (at < pixx && pixs[row * pixx + at]) at += 1;
      runs.push({ row, at: from, long: at - from });
    }
  return { wide: pixx, high: pixy, runs };
}

/** The package’s own words, without the names of its parts. */
function problemOf(error: unknown, length: number): string {
  const said = (error instanceof Error ? error.message : String(error)).replace(/^bwipp?[.\w#-]*:?\s*/i, '');
  if (/maximum|too (long|large|many)|capacity|no valid symbol/i.test(said))
    return `It is too long for this code: ${length} characters.`;
  return `It cannot be made into this code: ${said.trim()}`;
}
