import { makeJob } from '../../testing/jobs';
import { readJob, readLength, writeLength, type Length } from './index';

const measures = [
  { id: 'edge', name: 'edge distance', value: 14 },
  { id: 'gap', name: 'gap', value: 5 },
  { id: 'caption', name: 'caption gap', value: 3 },
];
const context = { unit: 'mm', ppi: 300 } as const;
const read = (text: string): Length | string => {
  const found = readLength(text, context, measures);
  return found.ok ? found.value : found.error.message;
};

test.each<[string, Length]>([
  ['edge distance', { measure: 'edge' }],
  [' Edge Distance ', { measure: 'edge' }],
  ['caption gap', { measure: 'caption' }],
  ['gap', { measure: 'gap' }],
  ['-gap', { measure: 'gap', times: -1 }],
  ['2 × edge distance', { measure: 'edge', times: 2 }],
  ['edge distance / 4', { measure: 'edge', times: 0.25 }],
  ['edge distance + 1/8 in', { measure: 'edge', plus: 3.175 }],
  ['1.5*gap - 2', { measure: 'gap', times: 1.5, plus: -2 }],
  ['12', 12],
  ['1/2 in', 12.7],
])('%s', (text, length) => expect(read(text)).toEqual(length));

test.each(['edge distance and a bit', 'twice gap', 'gap / 0', 'gap + fish', 'no such thing'])(
  '%s is refused in words',
  (text) => {
    expect(typeof read(text)).toBe('string');
  },
);

test('what is read can be written as it would be typed', () => {
  for (const text of [
    'edge distance',
    '2 × edge distance',
    '−gap',
    'caption gap + 3 mm',
    '1.5 × gap − 2 mm',
    '12 mm',
  ]) {
    const length = read(text);
    if (typeof length === 'string') throw new Error(length);
    expect(writeLength(length, 'mm', 300, measures)).toBe(text);
  }
});

test('a job that uses a measure it does not list is refused with its name', () => {
  const job = makeJob([], { measures });
  const [piece] = job.pieces;
  const element = {
    kind: 'shape',
    id: 'a',
    shape: { form: 'ellipse' },
    fill: null,
    placement: { against: { box: 'trim' }, x: { start: { measure: 'lost' }, size: 5 }, y: { start: 0, size: 5 } },
  };
  const read = readJob({ ...job, pieces: [{ ...piece, surfaces: { front: [element] } }] });
  expect(!read.ok && read.problems[0]).toContain('“lost”');
  const adrift = {
    ...element,
    placement: { ...element.placement, x: { start: 0, size: 5 } },
    layer: 'nowhere',
    group: 'none',
  };
  const loose = readJob({ ...job, pieces: [{ ...piece, surfaces: { front: [adrift] } }] });
  expect(!loose.ok && loose.problems).toHaveLength(2);
});

test('a job of the first version is read as one of today: boxes and ovals are forms of a shape', () => {
  const placement = { against: { box: 'trim' }, x: { start: 0, size: 5 }, y: { start: 0, size: 5 } };
  const [piece] = makeJob().pieces;
  // Until version 3 the decisions of a kind stood among the facts of the piece.
  const { decisions, ...facts } = piece ?? { decisions: {} };
  const flat = { ...facts, ...decisions };
  const old = {
    ...makeJob(),
    version: 1,
    pieces: [
      {
        ...flat,
        surfaces: {
          front: [
            { kind: 'rectangle', id: 'a', placement, fill: null, radius: 3, atTrim: 'stops' },
            { kind: 'ellipse', id: 'b', placement, fill: { kind: 'paper' } },
          ],
        },
      },
    ],
  };
  const read = readJob(old);
  if (!read.ok) throw new Error(read.problems.join('; '));
  expect(read.job.version).toBe(4);
  expect(read.job.pieces[0]?.decisions).toEqual(decisions);
  expect(read.job.pieces[0]?.surfaces['front']).toMatchObject([
    { kind: 'shape', shape: { form: 'rectangle', radius: 3 }, atTrim: 'stops' },
    { kind: 'shape', shape: { form: 'ellipse' } },
  ]);
});
