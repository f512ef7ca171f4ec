import type { Build, Rgb } from './build';
import type { ColourEngine } from './engine';
import { deltaE2000, type Lab } from './lab';

/** A colour that the paper can show in place of one that it cannot. */
export interface Neighbour {
  readonly way: 'nearest of its hue' | 'as light' | 'as vivid';
  readonly build: Build;
  /** CIEDE2000 from the colour that was wanted. */
  readonly deltaE: number;
}

/** A colour that comes back from the paper within this is one that it can show, CIEDE2000 [cp]. */
const COMES_BACK = 1.5;

const chromaOf = ({ a, b }: Lab): number => Math.hypot(a, b);

/** A colour of the hue of another. */
const withHue = (hue: Lab, L: number, chroma: number): Lab => {
  const own = chromaOf(hue) || 1;
  return { L, a: (hue.a / own) * chroma, b: (hue.b / own) * chroma };
};

const isShown = (lab: Lab, engine: ColourEngine): boolean =>
  deltaE2000(engine.buildLab(engine.fromLab(lab)), lab) < COMES_BACK;

/** The most chroma that the paper shows at a hue and a lightness, at most that of the colour itself. */
function mostChroma(wanted: Lab, L: number, engine: ColourEngine): number {
  let [low, high] = [0, chromaOf(wanted)];
  if (isShown(withHue(wanted, L, high), engine)) return high;
  for (let i = 0; i < 9; i += 1) {
    const middle = (low + high) / 2;
    if (isShown(withHue(wanted, L, middle), engine)) low = middle;
    else high = middle;
  }
  return low;
}

/** Lightnesses that are looked at, from darker to lighter. */
const STEPS = Array.from({ length: 21 }, (_, i) => (i - 10) * 3);

/**
 * What the paper can show of a colour’s own hue: the nearest, as light as it is, and as vivid as it can be. Each once.
 * @param rgb an sRGB colour that is outside
 */
export function neighboursOf(rgb: Rgb, engine: ColourEngine): readonly Neighbour[] {
  const wanted = engine.rgbLab(rgb);
  const shown = STEPS.map((step) => Math.min(97, Math.max(12, wanted.L + step))).map((L) =>
    withHue(wanted, L, mostChroma(wanted, L, engine)),
  );
  const best = (worth: (lab: Lab) => number): Lab => shown.reduce((a, b) => (worth(b) > worth(a) ? b : a));
  const ways: readonly (readonly [Neighbour['way'], Lab])[] = [
    ['nearest of its hue', best((lab) => -deltaE2000(lab, wanted))],
    ['as light', withHue(wanted, wanted.L, mostChroma(wanted, wanted.L, engine))],
    ['as vivid', best((lab) => chromaOf(lab) - Math.abs(lab.L - wanted.L) / 100)],
  ];
  const found: Neighbour[] = [];
  for (const [way, lab] of ways) {
    const { c, m, y, k } = engine.fromLab(lab);
    const build = { c: Math.round(c), m: Math.round(m), y: Math.round(y), k: Math.round(k) };
    if (found.some((n) => JSON.stringify(n.build) === JSON.stringify(build))) continue;
    found.push({ way, build, deltaE: deltaE2000(engine.buildLab(build), wanted) });
  }
  return found;
}
