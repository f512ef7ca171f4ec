import { deltaE2000, compensated, type Lab } from './lab';
import type { Build, Rgb } from './build';

/** Colour conversion through one output profile. */
export interface ColourEngine {
  /** Key of the conversion. */
  readonly profile: string;
  /** sRGB to the press, by the rendering intent of the conversion. */
  readonly toBuild: (rgb: Rgb) => Build;
  /** How a build looks on this paper, relative to its white, D50. */
  readonly buildLab: (build: Build) => Lab;
  /** The build that shows a colour on this paper, relative to its white, D50; the nearest where it cannot be shown. */
  readonly fromLab: (lab: Lab) => Build;
  readonly rgbLab: (rgb: Rgb) => Lab;
  /** For the screen, the paper shown white. */
  readonly toRgb: (build: Build) => Rgb;
}

/** What becomes of an sRGB colour on the press. */
export interface Shift {
  readonly build: Build;
  /** CIEDE2000 between the colour on the screen and on the paper. */
  readonly deltaE: number;
  /** The paper cannot show it, even allowing for its darkest black. */
  readonly outOfGamut: boolean;
}

/** Beyond this CIEDE2000 after black-point compensation, a colour counts as out of gamut [cp]. */
export const GAMUT_TOLERANCE = 3;

export function shiftOf(rgb: Rgb, engine: ColourEngine): Shift {
  const build = engine.toBuild(rgb);
  const printed = engine.buildLab(build);
  const wanted = engine.rgbLab(rgb);
  const black = engine.buildLab(engine.toBuild({ r: 0, g: 0, b: 0 }));
  return {
    build,
    deltaE: deltaE2000(wanted, printed),
    outOfGamut: deltaE2000(compensated(wanted, black.L), printed) > GAMUT_TOLERANCE,
  };
}
