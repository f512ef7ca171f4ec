import { deltaE2000 as difference, Lab as LAB } from 'colorjs.io/fn';

/** CIE L*a*b*, D50. */
export interface Lab {
  readonly L: number;
  readonly a: number;
  readonly b: number;
}

/** CIEDE2000 colour difference (CIE 142; Sharma, Wu and Dalal 2005). */
export function deltaE2000(one: Lab, two: Lab): number {
  const colour = (lab: Lab) => ({ space: LAB, coords: [lab.L, lab.a, lab.b] as [number, number, number], alpha: 1 });
  return difference(colour(one), colour(two));
}

/** CIE 1976: L* to relative luminance and back. */
const luminance = (L: number) => (L > 8 ? ((L + 16) / 116) ** 3 : L / 903.2962962);
const lightness = (Y: number) => (Y > 216 / 24389 ? 116 * Math.cbrt(Y) - 16 : Y * 903.2962962);

/**
 * The colour after black-point compensation: XYZ scaled so that no light becomes the paper's darkest.
 * (ISO 18619; a neutral black point is assumed, so a* and b* scale with the range that is left.)
 * @param blackL  L* of the darkest black that the output can print
 */
export function compensated(lab: Lab, blackL: number): Lab {
  const black = luminance(blackL);
  const f = (t: number) => (t > 6 / 29 ? t ** 3 : (t - 16 / 116) / 7.787037);
  const g = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : 7.787037 * t + 16 / 116);
  const fy = (lab.L + 16) / 116;
  const scale = (t: number) => t * (1 - black) + black;
  const [x, y, z] = [scale(f(fy + lab.a / 500)), scale(luminance(lab.L)), scale(f(fy - lab.b / 200))];
  return { L: lightness(y), a: 500 * (g(x) - g(y)), b: 200 * (g(y) - g(z)) };
}
