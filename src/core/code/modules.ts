import type { Path, Rect, Segment } from '../geometry';
import { rectPath } from '../geometry';
import type { Mm } from '../measure';
import { SYMBOLOGY, type QrLevel, type Symbology } from './symbology';

/** A code as modules, dark or light: one row for bars. */
export interface CodeModules {
  /** Modules side by side. */
  readonly wide: number;
  /** Rows; 1 for bars, which are as high as one likes. */
  readonly high: number;
  /** Dark runs of each row: where they begin, and how many modules they are long. */
  readonly runs: readonly { readonly row: number; readonly at: number; readonly long: number }[];
}

export interface CodeNeed {
  readonly symbology: Symbology;
  /** As `readContent` gives it. */
  readonly data: string;
  /** Of a QR code. */
  readonly level: QrLevel;
}

/** Makes the modules of a code, or says why it cannot. */
export type Encoder = (
  need: CodeNeed,
) => { readonly ok: true; readonly modules: CodeModules } | { readonly ok: false; readonly problem: string };

/** How a code lies in a box: the side of its modules, and where it stands with its quiet zone around it. */
export interface CodePlace {
  readonly module: Mm;
  /** The bars or squares. */
  readonly bars: Rect;
  /** With what has to stay white around them. */
  readonly whole: Rect;
}

/** Modules of a code with its quiet zone. */
export function wholeModules(symbology: Symbology, { wide, high }: CodeModules) {
  const { quiet } = SYMBOLOGY[symbology];
  return { wide: wide + quiet.left + quiet.right, high: high + quiet.above + quiet.below };
}

/** The size that a code has by itself, mm; words beneath it not counted. @param module left out, the usual one */
export function codeSize(symbology: Symbology, modules: CodeModules, module?: Mm) {
  const facts = SYMBOLOGY[symbology];
  const side = module ?? facts.module.usual;
  const whole = wholeModules(symbology, modules);
  const height = facts.form === 'bars' ? facts.height * (side / facts.module.usual) : whole.high * side;
  return { width: whole.wide * side, height };
}

/** A code in a box: as large as it goes there, in the middle. Bars take the height that they are given. */
export function placeCode(symbology: Symbology, modules: CodeModules, box: Rect): CodePlace {
  const { quiet, form } = SYMBOLOGY[symbology];
  const whole = wholeModules(symbology, modules);
  const module = form === 'bars' ? box.width / whole.wide : Math.min(box.width / whole.wide, box.height / whole.high);
  const size = { width: whole.wide * module, height: form === 'bars' ? box.height : whole.high * module };
  const at = { x: box.x + (box.width - size.width) / 2, y: box.y + (box.height - size.height) / 2 };
  return {
    module,
    whole: { ...at, ...size },
    bars: {
      x: at.x + quiet.left * module,
      y: at.y + quiet.above * module,
      width: modules.wide * module,
      height: form === 'bars' ? size.height : modules.high * module,
    },
  };
}

/** How the dark parts of a code are drawn. */
export interface CodeDrawing {
  /** By how much bars are drawn narrower, because ink makes them wider, mm. */
  readonly reduction: Mm;
  /** Bars between these modules reach down so much further, mm. */
  readonly guards?: { readonly between: readonly (readonly [from: number, to: number])[]; readonly reach: Mm };
}

/** The dark parts of a code as rectangles. */
export const codePath = (code: CodeModules, place: CodePlace, how: CodeDrawing): Path =>
  code.high === 1 ? barsPath(code, place, how) : squaresPath(code, place, how.reduction);

/** What is left of a bar however much it is drawn narrower, in modules [own]. */
const LEAST = 0.2;

function barsPath({ runs }: CodeModules, { bars, module }: CodePlace, { reduction, guards }: CodeDrawing): Path {
  const between = guards?.between ?? [];
  const long = bars.height + (guards?.reach ?? 0);
  const path: Segment[] = [];
  for (const { at, long: wide } of runs) {
    const isGuard = between.some(([from, to]) => at >= from && at < to);
    const x = bars.x + at * module + reduction / 2;
    const width = Math.max(module * LEAST, wide * module - reduction);
    path.push(...rectPath({ x, y: bars.y, width, height: isGuard ? long : bars.height }));
  }
  return path;
}

interface Dark {
  readonly at: number;
  readonly long: number;
  readonly from: number;
  to: number;
}

/** Squares above each other are one rectangle: no hairline shows between rows. */
function squaresPath({ runs, high }: CodeModules, { bars, module }: CodePlace, reduction: Mm): Path {
  const rows: CodeModules['runs'][number][][] = Array.from({ length: high }, () => []);
  for (const run of runs) rows[run.row]?.push(run);
  const open = new Map<string, Dark>();
  const closed: Dark[] = [];
  for (let row = 0; row <= high; row += 1) {
    const own = new Map((rows[row] ?? []).map((run) => [`${run.at} ${run.long}`, run]));
    for (const [key, rect] of open)
      if (!own.has(key)) {
        closed.push(rect);
        open.delete(key);
      }
    for (const [key, { at, long }] of own) {
      const before = open.get(key);
      if (before) before.to = row + 1;
      else open.set(key, { at, long, from: row, to: row + 1 });
    }
  }
  const rowHeight = bars.height / high;
  return closed.flatMap(({ at, long, from, to }) =>
    rectPath({
      x: bars.x + at * module + reduction / 2,
      y: bars.y + from * rowHeight + reduction / 2,
      width: Math.max(module * LEAST, long * module - reduction),
      height: (to - from) * rowHeight - reduction,
    }),
  );
}
