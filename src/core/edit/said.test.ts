import { makeJob, box, line, shape, words } from '../../testing/jobs';
import { solve, type SurfaceBoxes } from '../layout';
import { blankOf, type Element, type PlacementContext } from '../job';
import { readSaid, withSaid, writeSaid } from './said';

const BAND = shape(
  'band',
  [10, 20, 60, 30],
  { form: 'rectangle' },
  {
    fill: { kind: 'process', c: 0, m: 14, y: 78, k: 0 },
    stroke: { paint: { kind: 'process', c: 0, m: 0, y: 0, k: 100 }, widthPt: 0.5, dash: 'solid' },
  },
);
const HEAD = words('head', 'Meteor night', [10, 20, 60, 30], { family: 'Lora', sizePt: 19, leadingPt: 24 });
const RULE = line('rule', [10, 20, 60, 0]);
const PLAIN = box('plain', [10, 20, 60, 30]);

function of(element: Element, styles: Parameters<typeof makeJob>[1] = {}) {
  const job = makeJob([element], styles);
  const [piece] = job.pieces;
  const surface = piece && blankOf(job, piece).surfaces[0];
  if (!surface) throw new Error('no surface');
  const boxes: SurfaceBoxes = surface.boxes;
  const named: PlacementContext['named'] = [
    { ref: { box: 'trim' }, name: 'trim' },
    { ref: { box: 'safe' }, name: 'safe' },
  ];
  const rect = solve(element.placement, boxes);
  const context: PlacementContext = { unit: 'mm', ppi: 300, boxes, named, measures: job.measures, rect };
  const read = (text: string) => readSaid(text, job, element, context);
  return {
    line: writeSaid(job, element, context),
    read,
    said: (text: string) => {
      const said = read(text);
      if (!said.ok) throw new Error(said.error.message);
      return withSaid(job, element, said.value);
    },
  };
}

test.each<readonly [string, Element, string]>([
  ['a shape', BAND, 'trim: left 10 mm, width 60 mm, top 20 mm, height 30 mm | fill 0 14 78 0 | line 0.5 pt 0 0 0 100'],
  ['a text', HEAD, 'trim: left 10 mm, width 60 mm, top 20 mm, height 30 mm | in Lora 19/24 | ink 0 0 0 100'],
  ['what is half clear', { ...PLAIN, opacity: 0.4 }, ' | opacity 40 %'],
])('%s in one line', (_, element, line) => {
  expect(of(element).line).toContain(line);
});

test.each([BAND, HEAD, RULE, PLAIN])('what is written says nothing new when it is read', (element) => {
  const { line, said } = of(element);
  expect(said(line)).toEqual(element);
});

test('a line says name, place and look at once; what it leaves out stays', () => {
  const made = of(HEAD).said(
    'called Headline | safe: left 0, right 0, top −4 | in League Gothic 178/146 caps | ink paper',
  );
  expect(made).toMatchObject({
    name: 'Headline',
    placement: { against: { box: 'safe' }, x: { start: 0, end: 0 }, y: { start: -4, size: 30 } },
    look: { family: 'League Gothic', sizePt: 178, leadingPt: 146, case: 'upper', paint: { kind: 'paper' } },
  });
  expect(of(BAND).said('fill none | line 1 pt | opacity 50')).toMatchObject({
    fill: null,
    stroke: { widthPt: 1, paint: { k: 100 } },
    opacity: 0.5,
    placement: BAND.placement,
  });
  expect(of(RULE).said('line 0.75 pt 2 6 26 0')).toMatchObject({ stroke: { widthPt: 0.75, paint: { y: 26 } } });
});

test('a paragraph style is named; what follows from it is not written into the text', () => {
  const styles = [
    { id: 'small', name: 'Small', of: 'paragraph' as const, basedOn: null, next: null, look: { sizePt: 7 } },
  ];
  const made = of(words('note', 'Bring a blanket.', [0, 0, 9, 9]), { styles }).said('style small');
  expect(made).toMatchObject({ style: 'small' });
  expect(made.kind === 'text' && made.look.sizePt).toBeFalsy();
  const follower = of(made, { styles });
  expect(follower.line).toContain('| style Small | in ');
  expect(follower.said(follower.line)).toEqual(made);
});

test.each<readonly [string, Element, string, string, string]>([
  ['a box that is not there', BAND, 'Emblem: left 0', 'Emblem', 'no box called “Emblem”'],
  ['a paint of too few numbers', BAND, 'left 4 | fill 1 2 3', 'fill 1 2 3', 'four numbers'],
  [
    'a word that begins no part',
    BAND,
    'left 4 | stroke 2',
    'stroke 2',
    'called, style, in, ink, fill, line or opacity',
  ],
  ['type of a shape', BAND, 'left 4 | in Lora 9/12', 'in Lora 9/12', 'has no type'],
  ['a line of a text', HEAD, 'line 1 pt 0 0 0 100', 'line 1 pt 0 0 0 100', 'has no line'],
  ['a style that is not there', HEAD, 'top 9 | style Tiny', 'style Tiny', 'no paragraph style “Tiny”'],
  ['an opacity past all', BAND, 'opacity 140 %', 'opacity 140 %', 'from 0 to 100'],
  ['a width of a line that is not there', PLAIN, 'line 2 pt', 'line 2 pt', 'no line'],
])('%s is refused where it stands', (_, element, text, part, message) => {
  const read = of(element).read(text);
  if (read.ok) throw new Error('it was taken');
  expect(text.slice(read.error.at, read.error.at + read.error.length)).toBe(part);
  expect(read.error.message).toContain(message);
});
