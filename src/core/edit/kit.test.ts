import { Kit, paintsUsed, TypeStyle, type ParagraphChanges } from '../job';
import { checkSurface, applyChange } from '../check';
import { openDesk } from '../../output';
import { demoPiece } from '../../testing/demo';
import { inMemory, makeJob, shape, words } from '../../testing/jobs';
import { kitDifferences, kitOf, takeKit } from './kit';

/** A client’s kit: what a job has in common with its others, and how it departs from it. */

const paragraphStyle = (name: string, look: ParagraphChanges) =>
  TypeStyle.parse({ of: 'paragraph', id: name, name, look });

const RED = { kind: 'process', c: 0, m: 90, y: 80, k: 0 } as const;
const NIGHT = { kind: 'process', c: 90, m: 70, y: 20, k: 40 } as const;

const KIT = Kit.parse({
  name: 'Quillrook Dark-Sky Society',
  colours: [{ name: 'Night', paint: NIGHT }],
  families: ['Jost'],
  measures: [{ id: 'edge', name: 'edge', value: 9 }],
  styles: [
    paragraphStyle('base', { family: 'Jost', sizePt: 9 }),
    { ...paragraphStyle('small', { sizePt: 7 }), basedOn: 'base' },
  ],
});

test('a kit made of a piece and taken by another is not differed from', async () => {
  const { job } = await demoPiece('letterhead', 0.1);
  const kit = kitOf(job, job.client);
  expect(Kit.safeParse(kit).success).toBe(true);
  expect(kit.colours.length).toBeGreaterThan(0);
  expect(kitDifferences({ ...job, kit })).toEqual([]);
  expect(kitDifferences(takeKit(makeJob(), kit))).toEqual([]);
  expect(takeKit(job, kit)).toMatchObject({ styles: job.styles, measures: job.measures, client: job.client });
});

test('styles and measures of one name become the kit’s under the job’s ids; what else the job has stays', () => {
  const own = [
    paragraphStyle('mine', { family: 'Lora', sizePt: 20 }),
    { ...paragraphStyle('x7', { family: 'Lora', sizePt: 12 }), name: 'base' },
  ];
  const job = makeJob([], {
    styles: own,
    measures: [
      { id: 'm1', name: 'edge', value: 4 },
      { id: 'm2', name: 'gap', value: 2 },
    ],
  });
  const taken = takeKit(job, KIT);
  expect(taken.styles.map(({ id, name, basedOn }) => [id, name, basedOn])).toEqual([
    ['mine', 'mine', null],
    ['x7', 'base', null],
    // Based on the kit’s base, which is the job’s x7 here.
    ['small', 'small', 'x7'],
  ]);
  expect(taken.styles[1]?.look).toEqual({ family: 'Jost', sizePt: 9 });
  expect(taken.measures).toEqual([
    { id: 'm1', name: 'edge', value: 9 },
    { id: 'm2', name: 'gap', value: 2 },
  ]);
  expect(kitDifferences(taken)).toEqual([]);
  const moved = { ...taken, measures: [{ id: 'm1', name: 'edge', value: 8 }], styles: taken.styles.slice(0, 2) };
  expect(kitDifferences(moved)).toEqual([
    { what: 'style', name: 'small', how: 'missing' },
    { what: 'measure', name: 'edge', how: 'differs' },
  ]);
  // A base that is changed changes the looks of what is based on it.
  const rebased = {
    ...taken,
    styles: taken.styles.map((s) => (s.id === 'x7' ? { ...s, look: { family: 'Jost', sizePt: 10 } } : s)),
  } as typeof taken;
  expect(kitDifferences(rebased).map((d) => 'name' in d && d.name)).toEqual(['base']);
});

test('colours and families that the kit does not have are named and mended; black is everybody’s', async () => {
  const box = shape('box', [10, 10, 40, 20], { form: 'rectangle' }, { fill: RED });
  const text = words('t', 'Dark nights', [10, 40, 60, 10], { family: 'Lora', sizePt: 12 });
  const bar = shape('bar', [10, 60, 40, 5], { form: 'rectangle' }, { fill: NIGHT });
  const job = makeJob([box, text, bar], { kit: KIT, styles: KIT.styles, measures: KIT.measures });
  expect([...paintsUsed(job).keys()]).toEqual(['0 90 80 0', '0 0 0 100', '90 70 20 40']);
  const find = async (of: typeof job) => {
    const desk = await openDesk(of, inMemory());
    const [side] = desk.sides;
    const [piece] = of.pieces;
    if (!side || !piece) throw new Error('no side');
    return checkSurface(of, piece, side.surface.name, side.drawing, { blank: side.blank }).filter(
      (f) => f.rule === 'kit',
    );
  };
  const found = await find(job);
  expect(found.map((f) => [f.element, f.fixes[0]?.label])).toEqual([
    ['box', 'Take Night'],
    ['t', 'Set in Jost'],
  ]);
  const mended = found.reduce((j, f) => (f.fixes[0] ? applyChange(j, f.fixes[0].change) : j), job);
  expect(await find(mended)).toEqual([]);
  expect(await find({ ...job, kit: { ...KIT, colours: [], families: [] } })).toEqual([]);
  const [first] = await find({ ...mended, measures: [] });
  expect(first).toMatchObject({
    severity: 'warning',
    element: null,
    message: expect.stringContaining('“edge” (missing)') as string,
  });
  expect(await find(applyChange({ ...mended, measures: [] }, first?.fixes[0]?.change ?? { kind: 'kit' }))).toEqual([]);
});
