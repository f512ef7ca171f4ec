import type { Build } from './build';
import type { ColourEngine } from './engine';

/** A grey of three colours: how much magenta and yellow an amount of cyan asks for. */
export interface GreyStep {
  readonly build: Build;
  /** Lightness, relative to the paper. */
  readonly L: number;
  /** The black alone that is as light. */
  readonly black: number;
  /** How far cyan, magenta and yellow in equal parts would be off grey: a* and b*. */
  readonly cast: { readonly a: number; readonly b: number };
}

/**
 * The greys that cyan, magenta and yellow make on a paper, at steps of cyan.
 * Magenta and yellow are found by Newton’s method on a* and b*, which are to be 0: the colour of the paper.
 */
export const greyBalance = (engine: ColourEngine, cyans: readonly number[] = TENTHS): readonly GreyStep[] =>
  cyans.map((c) => {
    const build = neutral(c, engine);
    const { L } = engine.buildLab(build);
    const { a, b } = engine.buildLab({ c, m: c, y: c, k: 0 });
    return { build, L, black: blackAt(L, engine), cast: { a, b } };
  });

const TENTHS = Array.from({ length: 9 }, (_, i) => (i + 1) * 10);

/** Percent by which slopes are taken. */
const NUDGE = 0.5;

function neutral(c: number, engine: ColourEngine): Build {
  let [m, y] = [c * 0.8, c * 0.8];
  const off = (mm: number, yy: number) => engine.buildLab({ c, m: mm, y: yy, k: 0 });
  for (let i = 0; i < 12; i += 1) {
    const here = off(m, y);
    if (Math.hypot(here.a, here.b) < 0.02) break;
    const [dm, dy] = [off(m + NUDGE, y), off(m, y + NUDGE)];
    const [am, ay] = [(dm.a - here.a) / NUDGE, (dy.a - here.a) / NUDGE];
    const [bm, by] = [(dm.b - here.b) / NUDGE, (dy.b - here.b) / NUDGE];
    const det = am * by - ay * bm;
    if (Math.abs(det) < 1e-9) break;
    m = Math.min(100, Math.max(0, m - (here.a * by - here.b * ay) / det));
    y = Math.min(100, Math.max(0, y - (here.b * am - here.a * bm) / det));
  }
  return { c, m, y, k: 0 };
}

function blackAt(L: number, engine: ColourEngine): number {
  let [low, high] = [0, 100];
  for (let i = 0; i < 14; i += 1) {
    const k = (low + high) / 2;
    if (engine.buildLab({ c: 0, m: 0, y: 0, k }).L > L) low = k;
    else high = k;
  }
  return (low + high) / 2;
}
