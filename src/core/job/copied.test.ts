import { LAID_OUT } from '../../demo';
import { demoPiece } from '../../testing/demo';
import { makeJob, shape, words } from '../../testing/jobs';
import { Element, scaled } from '../element';
import { formatOf } from '../format';
import { copiedTo } from './copied';
import { elementsOf } from './inherit';
import { Job } from './schema';

/** Copies to another format: what is a length grows, all else stays. */

/** Numbers and where they stand in a value. */
function numbersIn(value: unknown, path = ''): readonly (readonly [path: string, n: number])[] {
  if (typeof value === 'number') return [[path, value]];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, v]) => numbersIn(v, `${path}.${key}`));
}

/** Names of facts that are lengths by their meaning, written down here apart from the schema. */
const LENGTHS = new RegExp(
  `\\.(${`
    sizePt leadingPt shiftPt widthPt onPt offPt before after indent indentRight firstIndent start end
    centre size blur spread distance dx dy gap\\w* columnGap top right bottom left plus wrap radius
    depth shaft head bend out lean length width height gutter rowGutter at x y
  `
    .trim()
    .split(/\s+/)
    .join('|')})$`,
);
/** Of those, what is a length wherever it stands. */
const ALWAYS = /\.(sizePt|leadingPt|widthPt)$|placement\.[xy]\.(start|end|centre|size)$/;
/** Of those names, what is no length in its place: shares, counts, angles, corners of a gradient. */
const NOT = /percent|\.focus\.|\.at\.parts|\.tint\.|\.list\.|dropCap|Cap|\.paint\.|\.fill\.|stops/;

describe('every length of the demo pieces, twice as long and half as long again', () => {
  test.each(LAID_OUT.map(({ file }) => file))('%s', async (file) => {
    const { job } = await demoPiece(file, 0.1);
    const elements = job.pieces.flatMap(elementsOf).map(({ element }) => element);
    for (const element of elements) {
      const twice = scaled(Element, element, 2);
      // What a page shows of its layout has a name of two parts, as no element of its own has.
      if (!element.id.includes('@')) expect(Element.safeParse(twice).success).toBe(true);
      const [was, is] = [numbersIn(element), new Map(numbersIn(twice))];
      for (const [path, n] of was) {
        const isLength = LENGTHS.test(path) && !NOT.test(path);
        // A factor of a measure, an angle, an ink or a count is as it was.
        if (!isLength) expect([path, is.get(path)]).toEqual([path, n]);
        else if (is.get(path) !== n || ALWAYS.test(path)) expect(is.get(path)).toBeCloseTo(2 * n, 2);
      }
      // Rounded to a thousandth of a millimetre and a hundredth of a point.
      const back = new Map(numbersIn(scaled(Element, twice, 0.5)));
      for (const [path, n] of was) expect(Math.abs((back.get(path) ?? NaN) - n)).toBeLessThan(0.0051);
    }
  });
});

test('what is a length in a text, a line and a shape, one by one', () => {
  const text = words(
    't',
    'Night',
    [10, 20, 60, 12],
    { sizePt: 9, leadingPt: 12, tracking: 20, before: 2, indent: { measure: 'edge', times: 2, plus: 1 } },
    { columnGap: 5, columns: 2 },
  );
  const twice = scaled(Element, text, 2);
  expect(twice).toMatchObject({
    columns: 2,
    columnGap: 10,
    // The measure itself grows, so its factor does not.
    look: { sizePt: 18, leadingPt: 24, tracking: 20, before: 4, indent: { measure: 'edge', times: 2, plus: 2 } },
    placement: { x: { start: 20, size: 120 }, y: { start: 40, size: 24 } },
  });
  const box = shape(
    's',
    [0, 0, 10, 10],
    { form: 'rectangle', radius: 3 },
    {
      stroke: {
        paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 },
        widthPt: 0.5,
        dash: { onPt: 2, offPt: 1 },
        whole: true,
        align: 'centre',
        cap: 'butt',
        join: 'miter',
      },
    },
  );
  expect(scaled(Element, box, 3)).toMatchObject({
    shape: { radius: 9 },
    stroke: { widthPt: 1.5, dash: { onPt: 6, offPt: 3 } },
  });
  // Past its bounds it ends at them.
  expect(scaled(Element, text, 10_000)).toMatchObject({ look: { sizePt: 5000 } });
});

test('a copy is a job that can be read, whatever it is copied to', async () => {
  const catalogue = await demoPiece('catalogue', 0.1);
  const book = formatOf('catalogue');
  if (!book) throw new Error('no catalogue');
  const small = copiedTo(catalogue.job, book, { size: '148 x 210 mm' }, { id: 'small', name: 'Small', times: 0.87 });
  if (!small.ok) throw new Error(small.error.message);
  expect(Job.safeParse(small.job).success).toBe(true);
  const [was, is] = [catalogue.job.pieces[0], small.job.pieces[0]];
  expect(Object.keys(is?.layouts ?? {})).toEqual(Object.keys(was?.layouts ?? {}));
  // A page’s own word on an item of its layout is scaled as the item is.
  const sizes = (job: Job) => job.styles.map((s) => s.look.sizePt ?? 0);
  expect(sizes(small.job)).toEqual(sizes(catalogue.job).map((pt) => expect.closeTo(pt * 0.87, 1) as number));
  const same = copiedTo(catalogue.job, book, {}, { id: 'same', name: 'Same', times: 1 });
  expect(same).toMatchObject({ ok: true, job: { pieces: [was], styles: catalogue.job.styles } });
});

test('what cannot be copied there is refused at its decision', () => {
  const banner = formatOf('banner');
  if (!banner) throw new Error('no banner');
  const refused = copiedTo(makeJob(), banner, { size: '-3 m' }, { id: 'x', name: 'x', times: 1 });
  expect(refused).toMatchObject({ ok: false, parameter: 'size' });
});
