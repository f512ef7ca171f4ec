import { checkSurface } from '../check';
import { openDesk } from '../../output';
import { box, inMemory, makeJob, picture, pictureFacts, words } from '../../testing/jobs';
import { demoPiece } from '../../testing/demo';
import { dateWords, plainText, type Element, type ElementOf } from '../element';
import { elementsOf, elementsOn, mapElements, sideOfBase, withSide } from './inherit';
import type { Job } from './schema';
import { begunFrom, freed, keptToTemplate, slotsOf, templateOf, withSlotDate, withSlotWords } from './template';
import { redecided } from './start';

/** A template: what stays open can be filled, all else is fixed. */

const OLD = 'a'.repeat(64);
const NEW = 'b'.repeat(64);

const open = { open: false } as const;
const flyer = makeJob(
  [
    box('band', [0, 60, 148, 30]),
    {
      ...words('talk', 'Name of the talk', [10, 10, 120, 20], { sizePt: 24, weight: 700 }),
      slot: { takes: 'text', ...open },
    },
    {
      ...words('when', 'The day', [10, 30, 120, 10], { sizePt: 14 }),
      slot: { takes: 'date', form: 'full', date: null, ...open },
    },
    { ...picture('sky', OLD, [10, 60, 60, 40]), slot: { takes: 'picture', ...open } },
    words('foot', 'Quillrook Dark-Sky Society', [10, 190, 120, 8]),
  ],
  { name: 'Talk', due: '2027-01-05', assets: { [OLD]: pictureFacts(900, 600), [NEW]: pictureFacts(900, 600) } },
);
const begun = () => begunFrom(templateOf(flyer, 'talks'), 'talk-7', 3, 'Seventh talk');

const change = (
  job: Job,
  id: string,
  make: (e: Parameters<Parameters<typeof mapElements>[1]>[0]) => typeof e,
): Job => ({
  ...job,
  pieces: job.pieces.map((p) => mapElements(p, (e) => (e.id === id ? make(e) : e))),
});
const openOnes = (job: Job) =>
  job.pieces.flatMap(slotsOf).flatMap(({ element }) => (element.slot.open ? [element.id] : []));

test('a job begun from a template knows it, and its slots wait', () => {
  expect(templateOf(flyer, 'talks')).toMatchObject({ id: 'talks', stage: 'template', due: null });
  expect(begun()).toMatchObject({
    id: 'talk-7',
    stage: 'brief',
    name: 'Seventh talk',
    template: { job: 'talks', revision: 3 },
  });
  expect(openOnes(begun())).toEqual(['talk', 'when', 'sky']);
});

test('slots are filled one after another; words keep the look of the template', () => {
  const told = keptToTemplate(
    begun(),
    change(begun(), 'talk', (e) => (e.kind === 'text' ? withSlotWords(e, 'Why the sky is dark') : e)),
  );
  if (!told.ok) throw new Error(told.problem);
  expect(openOnes(told.job)).toEqual(['when', 'sky']);
  const dated = keptToTemplate(
    told.job,
    change(told.job, 'when', (e) => (e.kind === 'text' ? withSlotDate(e, '2027-02-19', 'en-GB') : e)),
  );
  if (!dated.ok) throw new Error(dated.problem);
  const shown = keptToTemplate(
    dated.job,
    change(dated.job, 'sky', (e) => (e.kind === 'picture' ? { ...e, picture: NEW, focus: { x: 0.2, y: 0.5 } } : e)),
  );
  if (!shown.ok) throw new Error(shown.problem);
  expect(openOnes(shown.job)).toEqual([]);
  const all = new Map(shown.job.pieces.flatMap(elementsOf).map(({ element }) => [element.id, element]));
  // 19 February 2027 is a Friday: `date -d 2027-02-19 +%A`. Whether a comma follows differs between editions of
  // Unicode’s locale data.
  expect(all.get('when')).toMatchObject({
    paragraphs: [{ runs: [{ text: expect.stringMatching(/^Friday,? 19 February 2027$/) as string }] }],
  });
  expect(all.get('talk')).toMatchObject({
    paragraphs: [{ runs: [{ text: 'Why the sky is dark' }] }],
    look: { sizePt: 24, weight: 700 },
  });
  expect(dateWords('2027-02-19', 'long', 'de-DE')).toBe('19. Februar 2027');
});

test.each<[string, (job: Job) => Job]>([
  ['a fixed element', (j) => change(j, 'band', (e) => ({ ...e, opacity: 0.5 }))],
  ['a slot’s place', (j) => change(j, 'sky', (e) => ({ ...e, placement: { ...e.placement, rotate: 4 } }))],
  [
    'a slot’s look',
    (j) => change(j, 'talk', (e) => (e.kind === 'text' ? { ...e, look: { ...e.look, sizePt: 30 } } : e)),
  ],
  [
    'words that are no slot',
    (j) => change(j, 'foot', (e) => (e.kind === 'text' ? withSlotWords(e, 'Another society') : e)),
  ],
  [
    'another element',
    (j) => ({
      ...j,
      pieces: j.pieces.map((p) => ({
        ...p,
        surfaces: { ...p.surfaces, front: [...(p.surfaces['front'] ?? []), box('more', [0, 0, 5, 5])] },
      })),
    }),
  ],
  ['the size', (j) => ({ ...j, pieces: j.pieces.map((p) => redecided(p, { size: { width: 210, height: 297 } })) })],
  ['a measure', (j) => ({ ...j, measures: [{ id: 'm', name: 'm', value: 1 }] })],
])('%s is fixed, and a sentence says so', (_what, make) => {
  const kept = keptToTemplate(begun(), make(begun()));
  expect(kept.ok ? '' : kept.problem).toMatch(/ is fixed by the template\. Fill its slots, or free the job/);
  // A job that is free of it, and the template itself, are changed as any.
  expect(keptToTemplate(freed(begun()), make(freed(begun()))).ok).toBe(true);
  expect(keptToTemplate(templateOf(flyer, 'talks'), make(templateOf(flyer, 'talks'))).ok).toBe(true);
});

test('a slot of a base layout is filled page by page; the layout itself is fixed', async () => {
  const { job } = await demoPiece('catalogue', 0.1);
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  const isNamed = (e: Element): e is ElementOf<'text'> => e.kind === 'text' && e.name === 'name';
  const bases = piece.bases.map((b) => ({
    ...b,
    elements: b.elements.map((e): Element => (isNamed(e) ? { ...e, slot: { takes: 'text', ...open } } : e)),
  }));
  const begun = begunFrom({ ...job, stage: 'template', pieces: [{ ...piece, bases }] }, 'next', 1, 'Next ten years');
  const waiting = (of: Job) =>
    of.pieces.flatMap(slotsOf).flatMap(({ side, element }) => (element.slot.open ? [side] : []));
  // Ten nights, each with its name on the right-hand page.
  expect(waiting(begun)).toEqual([
    'page 5',
    'page 7',
    'page 9',
    'page 11',
    'page 13',
    'page 15',
    'page 17',
    'page 19',
    'page 21',
    'page 23',
  ]);
  const rename = (of: Job, side: string): Job => {
    const [first] = of.pieces;
    if (!first) throw new Error('no piece');
    return {
      ...of,
      pieces: [
        withSide(
          first,
          side,
          elementsOn(first, side).map((e) => (isNamed(e) ? withSlotWords(e, 'A new moon') : e)),
        ),
      ],
    };
  };
  const filled = keptToTemplate(begun, rename(begun, 'page 5'));
  if (!filled.ok) throw new Error(filled.problem);
  expect(waiting(filled.job)).toEqual(waiting(begun).slice(1));
  const wordsOn = (side: string) =>
    elementsOn(filled.job.pieces[0] ?? piece, side)
      .filter(isNamed)
      .map((e) => plainText(e.paragraphs));
  expect([wordsOn('page 5'), wordsOn('page 7')]).toEqual([
    ['A new moon'],
    elementsOn(piece, 'page 7')
      .filter(isNamed)
      .map((e) => plainText(e.paragraphs)),
  ]);
  const words = piece.bases.find((b) => b.elements.some(isNamed))?.id ?? '';
  expect(keptToTemplate(begun, rename(begun, sideOfBase(words)))).toMatchObject({
    ok: false,
    problem: expect.stringContaining('The base layout “Words” is fixed') as string,
  });
});

test('what the job is for is not the template’s: name, date due, paper and printer change freely', () => {
  const job = begun();
  expect(
    keptToTemplate(job, { ...job, name: 'Eighth talk', due: '2027-03-01', quantity: 400, notes: 'Ask for the hall.' })
      .ok,
  ).toBe(true);
  expect(keptToTemplate(job, freed(job))).toEqual({ ok: true, job: freed(job) });
});

test('a slot that still has the template’s content is found before the press does', async () => {
  const find = async (job: Job) => {
    const desk = await openDesk(job, inMemory());
    const [side] = desk.sides;
    const [piece] = job.pieces;
    if (!side || !piece) throw new Error('no side');
    const found = checkSurface(job, piece, side.surface.name, side.drawing, { blank: side.blank }).filter(
      (f) => f.rule === 'slot-open',
    );
    return found.map((f) => [f.element, f.severity, f.message]);
  };
  expect(await find(begun())).toEqual([
    ['talk', 'warning', 'Still has the words of the template.'],
    ['when', 'warning', 'Still has the date of the template.'],
    ['sky', 'warning', 'Still has the picture of the template.'],
  ]);
  expect(await find(templateOf(flyer, 'talks'))).toEqual([]);
  expect(await find(freed(begun()))).toEqual([]);
});
