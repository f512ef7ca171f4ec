import { checkSurface } from '../check';
import { openDesk } from '../../output';
import { box, inMemory, makeJob, picture, pictureFacts, words } from '../../testing/jobs';
import { dateWords } from '../element';
import { elementsOf, mapElements } from './inherit';
import type { Job } from './schema';
import { begunFrom, freed, keptToTemplate, slotsOf, templateOf, withSlotDate, withSlotWords } from './template';

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

const change = (job: Job, id: string, make: (e: Parameters<Parameters<typeof mapElements>[1]>[0]) => typeof e): Job => ({
  ...job,
  pieces: job.pieces.map((p) => mapElements(p, (e) => (e.id === id ? make(e) : e))),
}); // prettier-ignore
const openOnes = (job: Job) =>
  job.pieces.flatMap(slotsOf).flatMap(({ element }) => (element.slot.open ? [element.id] : []));

test('a job begun from a template knows it, and its slots wait', () => {
  expect(templateOf(flyer, 'talks')).toMatchObject({ id: 'talks', stage: 'template', due: null });
  expect(begun()).toMatchObject({ id: 'talk-7', stage: 'brief', name: 'Seventh talk', template: { job: 'talks', revision: 3 } });
  expect(openOnes(begun())).toEqual(['talk', 'when', 'sky']);
}); // prettier-ignore

test('slots are filled one after another; words keep the look of the template', () => {
  const told = keptToTemplate(begun(), change(begun(), 'talk', (e) => (e.kind === 'text' ? withSlotWords(e, 'Why the sky is dark') : e)));
  if (!told.ok) throw new Error(told.problem);
  expect(openOnes(told.job)).toEqual(['when', 'sky']);
  const dated = keptToTemplate(told.job, change(told.job, 'when', (e) => (e.kind === 'text' ? withSlotDate(e, '2027-02-19', 'en-GB') : e)));
  if (!dated.ok) throw new Error(dated.problem);
  const shown = keptToTemplate(dated.job, change(dated.job, 'sky', (e) => (e.kind === 'picture' ? { ...e, picture: NEW, focus: { x: 0.2, y: 0.5 } } : e)));
  if (!shown.ok) throw new Error(shown.problem);
  expect(openOnes(shown.job)).toEqual([]);
  const all = new Map(shown.job.pieces.flatMap(elementsOf).map(({ element }) => [element.id, element]));
  // 19 February 2027 is a Friday: `date -d 2027-02-19 +%A`. Whether a comma follows differs between editions of Unicode’s locale data.
  expect(all.get('when')).toMatchObject({ paragraphs: [{ runs: [{ text: expect.stringMatching(/^Friday,? 19 February 2027$/) as string }] }] });
  expect(all.get('talk')).toMatchObject({ paragraphs: [{ runs: [{ text: 'Why the sky is dark' }] }], look: { sizePt: 24, weight: 700 } });
  expect(dateWords('2027-02-19', 'long', 'de-DE')).toBe('19. Februar 2027');
}); // prettier-ignore

test.each<[string, (job: Job) => Job]>([
  ['a fixed element', (j) => change(j, 'band', (e) => ({ ...e, opacity: 0.5 }))],
  ['a slot’s place', (j) => change(j, 'sky', (e) => ({ ...e, placement: { ...e.placement, rotate: 4 } }))],
  ['a slot’s look', (j) => change(j, 'talk', (e) => (e.kind === 'text' ? { ...e, look: { ...e.look, sizePt: 30 } } : e))],
  ['words that are no slot', (j) => change(j, 'foot', (e) => (e.kind === 'text' ? withSlotWords(e, 'Another society') : e))],
  ['another element', (j) => ({ ...j, pieces: j.pieces.map((p) => ({ ...p, surfaces: { ...p.surfaces, front: [...(p.surfaces['front'] ?? []), box('more', [0, 0, 5, 5])] } })) })],
  ['the size', (j) => ({ ...j, pieces: j.pieces.map((p) => ({ ...p, size: { width: 210, height: 297 } })) })],
  ['a measure', (j) => ({ ...j, measures: [{ id: 'm', name: 'm', value: 1 }] })],
])('%s is fixed, and a sentence says so', (_what, make) => {
  const kept = keptToTemplate(begun(), make(begun()));
  expect(kept.ok ? '' : kept.problem).toMatch(/ is fixed by the template\. Fill its slots, or free the job/);
  // A job that is free of it, and the template itself, are changed as any.
  expect(keptToTemplate(freed(begun()), make(freed(begun()))).ok).toBe(true);
  expect(keptToTemplate(templateOf(flyer, 'talks'), make(templateOf(flyer, 'talks'))).ok).toBe(true);
}); // prettier-ignore

test('what the job is for is not the template’s: name, date due, paper and printer change freely', () => {
  const job = begun();
  expect(keptToTemplate(job, { ...job, name: 'Eighth talk', due: '2027-03-01', quantity: 400, notes: 'Ask for the hall.' }).ok).toBe(true);
  expect(keptToTemplate(job, freed(job))).toEqual({ ok: true, job: freed(job) });
}); // prettier-ignore

test('a slot that still has the template’s content is found before the press does', async () => {
  const find = async (job: Job) => {
    const desk = await openDesk(job, inMemory());
    const [side] = desk.sides;
    const [piece] = job.pieces;
    if (!side || !piece) throw new Error('no side');
    const found = checkSurface(job, piece, side.surface.name, side.drawing, side.blank).filter((f) => f.rule === 'slot-open');
    return found.map((f) => [f.element, f.severity, f.message]);
  };
  expect(await find(begun())).toEqual([
    ['talk', 'warning', 'Still has the words of the template.'],
    ['when', 'warning', 'Still has the date of the template.'],
    ['sky', 'warning', 'Still has the picture of the template.'],
  ]);
  expect(await find(templateOf(flyer, 'talks'))).toEqual([]);
  expect(await find(freed(begun()))).toEqual([]);
}); // prettier-ignore
