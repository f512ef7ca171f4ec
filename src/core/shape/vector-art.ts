import type { SolidPaint } from '../element';
import type { Path } from '../layout';
import type { Mm } from '../measure';

/** One shape of a drawing that was brought in. */
export interface ArtShape {
  readonly path: Path;
  readonly rule: 'nonzero' | 'evenodd';
  readonly fill: SolidPaint | null;
  readonly stroke: {
    readonly paint: SolidPaint;
    readonly width: Mm;
    readonly cap: 'butt' | 'round' | 'square';
    readonly join: 'miter' | 'round' | 'bevel';
    readonly dash: readonly Mm[];
  } | null;
  readonly opacity: number;
}

/** Paths with their colours, lowest first, mm from the top left of what they were drawn on. */
export interface VectorArt {
  readonly width: Mm;
  readonly height: Mm;
  readonly shapes: readonly ArtShape[];
}
