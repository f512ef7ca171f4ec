import { contours } from 'd3-contour';
import { openPicture } from '../bring-in/picture';
import type { CoatSource } from '../core/finish';
import { labOf } from './adjust';

type By = Extract<CoatSource, { from: 'picture' }>['by'];

/** Longest side at which shapes are looked for, pixels. */
const LONGEST = 2400;
/** Shapes smaller than this share of the picture are dust. */
const DUST = 0.0002;
/** Points may leave the outline by so many pixels when it is simplified. */
const STRAY = 0.35;

/** What was found in a picture. */
export interface Traced {
  /** SVG path data in shares of the picture; empty when there is nothing. */
  readonly shapes: string;
  readonly count: number;
}

/**
 * The outlines of the shapes in a picture, as areas that differ from their ground.
 * @param threshold percent: how opaque, how far from the corners’ colour (ΔE 1976 of 100), how dark or how light
 */
export async function traceShapes(bytes: Uint8Array, by: By, threshold: number): Promise<Traced> {
  const { data, info } = await openPicture(bytes)
    .autoOrient()
    .resize(LONGEST, LONGEST, { fit: 'inside', withoutEnlargement: true })
    .toColourspace('srgb')
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const { width, height } = info;
  const measure = measureOf(data, width, height, by);
  // A ring of nothing around it closes shapes that reach the edge.
  const [wide, high] = [width + 2, height + 2];
  const field = new Array<number>(wide * high).fill(0);
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) field[(y + 1) * wide + x + 1] = measure((y * width + x) * 4);
  const [found] = contours().size([wide, high]).thresholds([threshold])(field);
  const least = DUST * width * height;
  const polygons = (found?.coordinates ?? []).filter(([outer = []]) => Math.abs(ringArea(outer)) >= least);
  const rings = polygons.flatMap((polygon) => polygon.filter((ring) => Math.abs(ringArea(ring)) >= least));
  const share = (value: number, size: number) =>
    String(Math.round(Math.min(1, Math.max(0, (value - 1) / size)) * 1e5) / 1e5);
  const shapes = rings
    .map(
      (ring) =>
        simplified(ring.slice(0, -1))
          .map(([x = 0, y = 0], i) => `${i === 0 ? 'M' : 'L'}${share(x, width)} ${share(y, height)}`)
          .join('') + 'Z',
    )
    .join('');
  return { shapes, count: polygons.length };
}

/** How strongly a pixel belongs to a shape, 0 to 100. */
function measureOf(data: Uint8Array, width: number, height: number, by: By): (at: number) => number {
  const lab = (at: number) => labOf(data[at] ?? 0, data[at + 1] ?? 0, data[at + 2] ?? 0);
  const opacity = (at: number) => ((data[at + 3] ?? 0) / 255) * 100;
  switch (by) {
    case 'clear':
      return opacity;
    case 'dark':
      return (at) => (100 - lab(at)[0]) * (opacity(at) / 100);
    case 'light':
      return (at) => lab(at)[0] * (opacity(at) / 100);
    case 'ground': {
      const corners = [0, width - 1, (height - 1) * width, height * width - 1].map((i) => lab(i * 4));
      const ground = [0, 1, 2].map((c) => corners.reduce((sum, l) => sum + (l[c] ?? 0), 0) / 4);
      return (at) => {
        const [L, a, b] = lab(at);
        return Math.min(100, Math.hypot(L - (ground[0] ?? 0), a - (ground[1] ?? 0), b - (ground[2] ?? 0)));
      };
    }
  }
}

type Ring = readonly (readonly number[])[];

const ringArea = (ring: Ring): number =>
  ring.reduce((sum, [x = 0, y = 0], i) => {
    const [nx = 0, ny = 0] = ring[(i + 1) % ring.length] ?? [];
    return sum + x * ny - nx * y;
  }, 0) / 2;

/** Fewer points on the same outline (Douglas and Peucker 1973). */
function simplified(ring: Ring): Ring {
  if (ring.length < 8) return ring;
  const half = Math.floor(ring.length / 2);
  return [
    ...kept(ring.slice(0, half + 1)).slice(0, -1),
    ...kept([...ring.slice(half), ...ring.slice(0, 1)]).slice(0, -1),
  ];
}

function kept(line: Ring): Ring {
  const [first = [], last = []] = [line[0], line.at(-1)];
  const [x0 = 0, y0 = 0] = first;
  const [x1 = 0, y1 = 0] = last;
  const length = Math.hypot(x1 - x0, y1 - y0) || 1;
  let far = 0;
  let at = -1;
  line.forEach(([x = 0, y = 0], i) => {
    const d = Math.abs((x1 - x0) * (y0 - y) - (x0 - x) * (y1 - y0)) / length;
    if (d > far) [far, at] = [d, i];
  });
  return far <= STRAY || at <= 0
    ? [first, last]
    : [...kept(line.slice(0, at + 1)).slice(0, -1), ...kept(line.slice(at))];
}
