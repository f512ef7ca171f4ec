/** How inks look on a paper: 8-bit CMYK in, L*a*b* out, three floats a pixel. */
export type InkLabs = (cmyk: Uint8Array) => Float32Array;

/** Steps of each ink in the table, and how far apart they lie of 255. */
const STEPS = 11;
const STRIDE = 255 / (STEPS - 1);
/** Halvings of the search for black, and steps towards the colour within each. */
const [HALVINGS, NEARER] = [9, 4];
/** Ink by which slopes are measured, of 255. */
const NUDGE = 4;

/**
 * Separates inks anew so that no more than a limit lies on each other: black takes over what the three colours give up,
 * and the colour stays (grey component replacement). What is within the limit stays as it is. Where the darkest colours
 * need more ink than the limit allows, they become a little lighter.
 * @param limit C + M + Y + K, percent; at least 100
 * @param labs  how inks look on the paper
 * @returns a conversion of whole pictures, 8-bit CMYK in and out
 */
export function inkLimiter(limit: number, labs: InkLabs): (pixels: Uint8Array) => Uint8Array {
  const most = Math.max(100, limit) * 2.55;
  const table = correctionsTo(most, labs);
  return (pixels) => {
    const out = Uint8Array.from(pixels);
    const moved = new Float64Array(4);
    for (let at = 0; at < out.length; at += 4) {
      const [c, m, y, k] = [out[at] ?? 0, out[at + 1] ?? 0, out[at + 2] ?? 0, out[at + 3] ?? 0];
      if (c + m + y + k <= most) continue;
      correctionAt(table, c, m, y, k, moved);
      const black = held(k + (moved[3] ?? 0));
      const colours = [held(c + (moved[0] ?? 0)), held(m + (moved[1] ?? 0)), held(y + (moved[2] ?? 0))];
      const total = colours.reduce((sum, v) => sum + v, black);
      // Between the steps of the table a little is left over.
      const share = total > most ? (most - black) / (total - black) : 1;
      for (let i = 0; i < 3; i += 1) out[at + i] = Math.floor((colours[i] ?? 0) * share);
      out[at + 3] = Math.floor(black);
    }
    return out;
  };
}

const held = (v: number): number => (v < 0 ? 0 : v > 255 ? 255 : v);

/** What has to be added to each ink at every step of the table. */
function correctionsTo(most: number, labs: InkLabs): Float32Array {
  const corrections = new Float32Array(STEPS ** 4 * 4);
  const over: number[] = [];
  for (let place = 0; place < STEPS ** 4; place += 1) if (totalOf(nodeAt(place)) > most) over.push(place);
  const nodes = Float64Array.from(over.flatMap(nodeAt));
  const wanted = labs(rounded(nodes));
  const low = over.map((_, i) => nodes[i * 4 + 3] ?? 0);
  const high = over.map(() => 255);
  const best = matched(nodes, high, wanted, labs);
  for (let h = 0; h < HALVINGS; h += 1) {
    const middle = low.map((v, i) => (v + (high[i] ?? 0)) / 2);
    const tried = matched(nodes, middle, wanted, labs);
    over.forEach((_, i) => {
      const now = tried.subarray(i * 4, i * 4 + 4);
      if (totalOf(now) > most) {
        low[i] = middle[i] ?? 0;
        return;
      }
      high[i] = middle[i] ?? 0;
      best.set(now, i * 4);
    });
  }
  over.forEach((place, i) => {
    const now = best.subarray(i * 4, i * 4 + 4);
    const black = now[3] ?? 0;
    const total = totalOf(now);
    const share = total > most ? (most - black) / (total - black) : 1;
    now.forEach((v, ink) => {
      corrections[place * 4 + ink] = (ink < 3 ? v * share : v) - (nodes[i * 4 + ink] ?? 0);
    });
  });
  return corrections;
}

/** The four inks at a place of the table, of 255 each. */
const nodeAt = (place: number): number[] =>
  [3, 2, 1, 0].map((axis) => Math.round((Math.floor(place / STEPS ** axis) % STEPS) * STRIDE));

const totalOf = ([c = 0, m = 0, y = 0, k = 0]: ArrayLike<number> & Iterable<number>): number => c + m + y + k;
const rounded = (inks: Float64Array): Uint8Array => Uint8Array.from(inks, Math.round);
const nudgeOf = (v: number): number => (v > 127 ? -NUDGE : NUDGE);

/**
 * The three colours that look as wanted together with so much black, by Newton’s method; all nodes in step.
 * @param nodes  four inks a node
 * @param wanted L*a*b* a node
 * @returns four inks a node
 */
function matched(nodes: Float64Array, black: readonly number[], wanted: Float32Array, labs: InkLabs): Float64Array {
  const inks = Float64Array.from(nodes);
  black.forEach((now, i) => {
    // What black takes over was grey before: as much of each colour goes.
    const gone = now - (nodes[i * 4 + 3] ?? 0);
    for (let ink = 0; ink < 3; ink += 1) inks[i * 4 + ink] = held((nodes[i * 4 + ink] ?? 0) - gone);
    inks[i * 4 + 3] = now;
  });
  for (let step = 0; step < NEARER; step += 1) {
    const here = rounded(inks);
    const looks = labs(here);
    const nudged = [0, 1, 2].map((ink) => {
      const other = Uint8Array.from(here);
      for (let at = ink; at < other.length; at += 4) other[at] = (here[at] ?? 0) + nudgeOf(inks[at] ?? 0);
      return labs(other);
    });
    for (let i = 0; i < black.length; i += 1) {
      const off = [0, 1, 2].map((d) => (wanted[i * 3 + d] ?? 0) - (looks[i * 3 + d] ?? 0));
      const slopes = nudged.map((lab, ink) =>
        [0, 1, 2].map((d) => ((lab[i * 3 + d] ?? 0) - (looks[i * 3 + d] ?? 0)) / nudgeOf(inks[i * 4 + ink] ?? 0)),
      );
      // Far from the colour the slope says little: no step is longer than a quarter of the way.
      solved(slopes, off).forEach((by, ink) => {
        inks[i * 4 + ink] = held((inks[i * 4 + ink] ?? 0) + Math.min(64, Math.max(-64, by)));
      });
    }
  }
  return inks;
}

/** Three equations by Cramer’s rule; columns in, nothing where they do not tell the inks apart. */
function solved(columns: readonly (readonly number[])[], right: readonly number[]): readonly number[] {
  const det = (a: readonly number[] = [], b: readonly number[] = [], c: readonly number[] = []) =>
    (a[0] ?? 0) * ((b[1] ?? 0) * (c[2] ?? 0) - (b[2] ?? 0) * (c[1] ?? 0)) -
    (b[0] ?? 0) * ((a[1] ?? 0) * (c[2] ?? 0) - (a[2] ?? 0) * (c[1] ?? 0)) +
    (c[0] ?? 0) * ((a[1] ?? 0) * (b[2] ?? 0) - (a[2] ?? 0) * (b[1] ?? 0));
  const [a, b, c] = columns;
  const whole = det(a, b, c);
  if (Math.abs(whole) < 1e-6) return [0, 0, 0];
  return [det(right, b, c) / whole, det(a, right, c) / whole, det(a, b, right) / whole];
}

/** Between the steps of the table, in a straight line along each ink. */
function correctionAt(table: Float32Array, c: number, m: number, y: number, k: number, out: Float64Array): void {
  out.fill(0);
  const places = [c, m, y, k].map((v) => Math.min(STEPS - 2, Math.floor(v / STRIDE)));
  const parts = [c, m, y, k].map((v, i) => v / STRIDE - (places[i] ?? 0));
  for (let corner = 0; corner < 16; corner += 1) {
    let weight = 1;
    let node = 0;
    for (let axis = 0; axis < 4; axis += 1) {
      const far = (corner >> axis) & 1;
      const part = parts[axis] ?? 0;
      weight *= far ? part : 1 - part;
      node = node * STEPS + (places[axis] ?? 0) + far;
    }
    if (weight === 0) continue;
    for (let ink = 0; ink < 4; ink += 1) out[ink] = (out[ink] ?? 0) + weight * (table[node * 4 + ink] ?? 0);
  }
}
