import { openPicture } from '../bring-in/picture';
import type { Rgb } from '../core/colour';
import { labOf } from './adjust';

/** Most colours that are proposed, and the pixels of the picture that are looked at. */
const [MOST, SIDE] = [8, 96];

type Lab = readonly [number, number, number];

const distance = (a: Lab, b: Lab): number => (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;

/** Two proposals nearer than this are one to the eye, ΔE 1976 squared. */
const ALIKE = 12 ** 2;

/**
 * The colours that make up a picture, the most common first: groups of its pixels by k-means in L*a*b*, each shown by
 * the pixel nearest to its middle. The same picture gives the same colours.
 */
export async function paletteOf(bytes: Uint8Array): Promise<readonly Rgb[]> {
  const raw = await openPicture(bytes)
    .autoOrient()
    .flatten({ background: '#ffffff' })
    .resize(SIDE, SIDE, { fit: 'inside', withoutEnlargement: true })
    .toColourspace('srgb')
    .removeAlpha()
    .raw()
    .toBuffer();
  const rgb = Array.from({ length: raw.length / 3 }, (_, i): Rgb => ({
    r: raw[i * 3] ?? 0,
    g: raw[i * 3 + 1] ?? 0,
    b: raw[i * 3 + 2] ?? 0,
  }));
  const labs = rgb.map(({ r, g, b }) => labOf(r, g, b));
  const [first] = labs;
  if (!first) return [];
  let centres = spread(labs, first);
  let groups: number[] = [];
  for (let round = 0; round < 12; round += 1) {
    groups = labs.map((lab) => nearest(lab, centres));
    centres = centres.map((centre, k) => middleOf(labs.filter((_, i) => groups[i] === k)) ?? centre);
  }
  const found = centres
    .map((centre, k) => ({ centre, members: groups.flatMap((g, i) => (g === k ? [i] : [])) }))
    .filter(({ members }) => members.length > labs.length / 150)
    .sort((a, b) => b.members.length - a.members.length);
  const kept: { readonly lab: Lab; readonly rgb: Rgb }[] = [];
  for (const { centre, members } of found) {
    const best = members.reduce((a, b) =>
      distance(labs[b] ?? centre, centre) < distance(labs[a] ?? centre, centre) ? b : a,
    );
    const [lab, colour] = [labs[best], rgb[best]];
    if (lab && colour && kept.every((k) => distance(k.lab, lab) > ALIKE)) kept.push({ lab, rgb: colour });
  }
  return kept.map((k) => k.rgb);
}

/** Starting points far from each other: each is the pixel furthest from those before. */
function spread(labs: readonly Lab[], first: Lab): readonly Lab[] {
  const centres: Lab[] = [first];
  const away = labs.map((lab) => distance(lab, first));
  while (centres.length < MOST) {
    const furthest = away.reduce((best, d, i) => (d > (away[best] ?? 0) ? i : best), 0);
    const next = labs[furthest];
    if (!next || away[furthest] === 0) break;
    centres.push(next);
    labs.forEach((lab, i) => (away[i] = Math.min(away[i] ?? 0, distance(lab, next))));
  }
  return centres;
}

const nearest = (lab: Lab, centres: readonly Lab[]): number =>
  centres.reduce((best, c, k) => (distance(lab, c) < distance(lab, centres[best] ?? c) ? k : best), 0);

function middleOf(labs: readonly Lab[]): Lab | undefined {
  if (labs.length === 0) return undefined;
  const sum = labs.reduce<Lab>(([L, a, b], lab) => [L + lab[0], a + lab[1], b + lab[2]], [0, 0, 0]);
  return [sum[0] / labs.length, sum[1] / labs.length, sum[2] / labs.length];
}

/** The colour of one pixel, `x` and `y` as shares of the upright picture, in sRGB. */
export async function pixelOf(bytes: Uint8Array, x: number, y: number): Promise<Rgb> {
  const { data, info } = await openPicture(bytes)
    .autoOrient()
    .flatten({ background: '#ffffff' })
    .toColourspace('srgb')
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const column = Math.min(info.width - 1, Math.max(0, Math.floor(x * info.width)));
  const row = Math.min(info.height - 1, Math.max(0, Math.floor(y * info.height)));
  const at = (row * info.width + column) * 3;
  return { r: data[at] ?? 0, g: data[at + 1] ?? 0, b: data[at + 2] ?? 0 };
}
