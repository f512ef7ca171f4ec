/**
 * Blurs one channel by a Gaussian, its edges going on outside as they are.
 * @param pixels row by row
 * @param sigma  standard deviation, pixels
 * @returns a new channel; the kernel reaches four standard deviations and sums to one
 */
export function gaussian(pixels: ArrayLike<number>, width: number, height: number, sigma: number): Float32Array {
  const source = Float32Array.from(pixels);
  if (sigma <= 0) return source;
  const reach = Math.ceil(sigma * 4);
  const kernel = Float64Array.from({ length: 2 * reach + 1 }, (_, i) => weight(i - reach, sigma));
  const sum = kernel.reduce((total, k) => total + k, 0);
  const weights = kernel.map((k) => k / sum);
  return along(along(source, width, height, weights, reach, false), width, height, weights, reach, true);
}

/** The Gaussian at a distance; a narrow one is averaged over its pixel, where its middle alone would say too little. */
function weight(at: number, sigma: number): number {
  const density = (x: number) => Math.exp(-(x * x) / (2 * sigma * sigma));
  if (sigma >= 1) return density(at);
  const steps = 8;
  let total = 0;
  for (let i = 0; i < steps; i += 1) total += density(at - 0.5 + (i + 0.5) / steps);
  return total / steps;
}

/** One pass, across or down. */
function along(
  source: Float32Array,
  width: number,
  height: number,
  weights: Float64Array,
  reach: number,
  down: boolean,
): Float32Array {
  const out = new Float32Array(source.length);
  const [lines, length, step, line] = down ? [width, height, width, 1] : [height, width, 1, width];
  // A line with its ends drawn out, so that the inner loop has nothing to decide.
  const long = new Float64Array(length + 2 * reach);
  const taps = weights.length;
  for (let l = 0; l < lines; l += 1) {
    const base = l * line;
    for (let i = 0; i < length; i += 1) long[i + reach] = source[base + i * step] ?? 0;
    long.fill(long[reach] ?? 0, 0, reach);
    long.fill(long[reach + length - 1] ?? 0, reach + length);
    for (let i = 0; i < length; i += 1) {
      let total = 0;
      for (let k = 0; k < taps; k += 1) total += (long[i + k] ?? 0) * (weights[k] ?? 0);
      out[base + i * step] = total;
    }
  }
  return out;
}
