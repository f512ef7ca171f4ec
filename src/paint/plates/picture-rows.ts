import { inverse, type Matrix, type Rect } from '../../core/layout';

// Named once: a look-up of a global in every step is dear where code runs in a context of its own.
const { floor, ceil, round, min, max, hypot, abs } = Math;

/** The inks of a picture, ready to lay down. */
export interface InkPixels {
  readonly width: number;
  readonly height: number;
  /** Four inks a pixel, or black alone. */
  readonly space: 'cmyk' | 'grey';
  /** 0 to 255 dot area, interleaved. */
  readonly pixels: Uint8Array;
  /** How opaque each pixel is. */
  readonly alpha?: Uint8Array;
}

/** Rows of a picture as a page sees them. */
export interface PictureRows {
  readonly inks: readonly Uint8Array[];
  readonly alpha: Uint8Array | undefined;
  /** Fills the rows for the columns of one row of the page. */
  readonly read: (y: number, from: number, to: number) => void;
}

/** At most so many samples are averaged across a pixel each way. */
const MOST = 8;

/**
 * @param image  where the picture lies, in the coordinates that `matrix` takes to pixels
 * @param left   column of the page at which rows begin
 * @param width  columns of a row
 */
export function pictureRows(whole: InkPixels, image: Rect, matrix: Matrix, left: number, width: number): PictureRows {
  const { picture, times } = reducedFor(whole, image, matrix);
  const { pixels, alpha, width: w, height: h } = picture;
  const channels = picture.space === 'cmyk' ? 4 : 1;
  const back = inverse(matrix);
  // From the page’s pixels to the picture’s.
  const [sx, sy] = [whole.width / times / image.width, whole.height / times / image.height];
  const [a, b, c, d] = [back[0] * sx, back[1] * sy, back[2] * sx, back[3] * sy];
  const [e, f] = [(back[4] - image.x) * sx, (back[5] - image.y) * sy];
  const inks = Array.from({ length: channels }, () => new Uint8Array(width));
  const alphaRow = alpha && new Uint8Array(width);
  const across = samplesFor(hypot(a, b));
  const down = samplesFor(hypot(c, d));
  const samples = across * down;
  const isUpright = abs(b) < 1e-9 && abs(c) < 1e-9;
  // A level picture reads the same columns in every row.
  const columns = new Int32Array(isUpright ? width * across : 0);
  if (isUpright)
    for (let x = 0; x < width; x += 1)
      for (let i = 0; i < across; i += 1)
        columns[x * across + i] = within(floor(a * (left + x + (i + 0.5) / across) + e), w);
  const one = inks[0] ?? new Uint8Array(0);
  const [, two = one, three = one, four = one] = inks;

  const readPlain = (y: number, from: number, to: number): void => {
    const row = within(floor(d * (y + 0.5) + f), h) * w;
    if (channels === 1) for (let x = from; x < to; x += 1) one[x] = pixels[row + (columns[x] ?? 0)] ?? 0;
    else
      for (let x = from; x < to; x += 1) {
        const at = (row + (columns[x] ?? 0)) * 4;
        one[x] = pixels[at] ?? 0;
        two[x] = pixels[at + 1] ?? 0;
        three[x] = pixels[at + 2] ?? 0;
        four[x] = pixels[at + 3] ?? 0;
      }
    if (alpha && alphaRow) for (let x = from; x < to; x += 1) alphaRow[x] = alpha[row + (columns[x] ?? 0)] ?? 0;
  };

  /** The mean of several samples in each pixel; what is clear has no weight. */
  const readAveraged = (y: number, from: number, to: number): void => {
    for (let x = from; x < to; x += 1) {
      let [s0, s1, s2, s3, weight] = [0, 0, 0, 0, 0];
      for (let j = 0; j < down; j += 1) {
        const py = y + (j + 0.5) / down;
        const levelRow = isUpright ? within(floor(d * py + f), h) * w : 0;
        for (let i = 0; i < across; i += 1) {
          const px = left + x + (i + 0.5) / across;
          const place = isUpright
            ? levelRow + (columns[x * across + i] ?? 0)
            : within(floor(b * px + d * py + f), h) * w + within(floor(a * px + c * py + e), w);
          const opaque = alpha ? (alpha[place] ?? 0) : 255;
          const at = place * channels;
          s0 += (pixels[at] ?? 0) * opaque;
          if (channels === 4) {
            s1 += (pixels[at + 1] ?? 0) * opaque;
            s2 += (pixels[at + 2] ?? 0) * opaque;
            s3 += (pixels[at + 3] ?? 0) * opaque;
          }
          weight += opaque;
        }
      }
      const by = weight > 0 ? 1 / weight : 0;
      one[x] = s0 * by + 0.5;
      if (channels === 4) {
        two[x] = s1 * by + 0.5;
        three[x] = s2 * by + 0.5;
        four[x] = s3 * by + 0.5;
      }
      if (alphaRow) alphaRow[x] = weight / samples + 0.5;
    }
  };

  return { inks, alpha: alphaRow, read: samples === 1 && isUpright ? readPlain : readAveraged };
}

/**
 * How many places are read across a pixel of the page. One is enough where a pixel comes to a pixel, and where a pixel
 * of the picture covers many of the page; between, whole rows would be read twice or not at all.
 * @param pixels of the picture to one of the page
 */
const samplesFor = (pixels: number): number =>
  pixels < 0.3 || abs(pixels - 1) < 0.002 ? 1 : max(3, min(MOST, round(pixels * 2)));

/** Pictures reduced to a half each way, from those they were reduced from: a side is read again and again. */
const halves = new WeakMap<InkPixels, InkPixels>();

/**
 * The picture, halved until about one of its pixels comes to a pixel of the page, and how many times smaller it is
 * then.
 */
function reducedFor(
  picture: InkPixels,
  image: Rect,
  [a, b, c, d]: Matrix,
): { readonly picture: InkPixels; readonly times: number } {
  let reduced = picture;
  let times = 1;
  const across = picture.width / (image.width * hypot(a, b));
  const down = picture.height / (image.height * hypot(c, d));
  for (let ratio = min(across, down); ratio > 1.6 && reduced.width > 2 && reduced.height > 2; ratio /= 2) {
    const half = halves.get(reduced) ?? halved(reduced);
    halves.set(reduced, half);
    reduced = half;
    times *= 2;
  }
  return { picture: reduced, times };
}

/** Each two by two pixels as their mean; what is clear has no weight. An odd last row or column is a mean of fewer. */
function halved({ width, height, space, pixels, alpha }: InkPixels): InkPixels {
  const channels = space === 'cmyk' ? 4 : 1;
  const [w, h] = [ceil(width / 2), ceil(height / 2)];
  const out = new Uint8Array(w * h * channels);
  const clear = alpha && new Uint8Array(w * h);
  for (let y = 0; y < h; y += 1) {
    const upper = 2 * y * width;
    const lower = min(2 * y + 1, height - 1) * width;
    for (let x = 0; x < w; x += 1) {
      const [left, right] = [2 * x, min(2 * x + 1, width - 1)];
      const [i, j, k, l] = [upper + left, upper + right, lower + left, lower + right];
      const at = (y * w + x) * channels;
      if (!alpha || !clear) {
        for (let n = 0; n < channels; n += 1) {
          const [p = 0, q = 0, r = 0, s = 0] = [
            pixels[i * channels + n],
            pixels[j * channels + n],
            pixels[k * channels + n],
            pixels[l * channels + n],
          ];
          out[at + n] = (p + q + r + s + 2) >> 2;
        }
        continue;
      }
      const four = [i, j, k, l] as const;
      const weight = four.reduce((sum, place) => sum + (alpha[place] ?? 0), 0);
      clear[y * w + x] = (weight + 2) >> 2;
      for (let n = 0; n < channels; n += 1) {
        const weighed = four.reduce((sum, place) => sum + (pixels[place * channels + n] ?? 0) * (alpha[place] ?? 0), 0);
        out[at + n] = weight > 0 ? weighed / weight + 0.5 : 0;
      }
    }
  }
  return { width: w, height: h, space, pixels: out, ...(clear && { alpha: clear }) };
}

const within = (n: number, count: number): number => (n < 0 ? 0 : n >= count ? count - 1 : n);
