import { edgeWords, insideStretched } from './edge-words';

const PAGE = { width: 148, height: 210, bleed: 3 };
const line = (edge: 'top' | 'right' | 'bottom' | 'left', inside = 1.4) =>
  ({ kind: 'line', edge, inside, count: 1, pages: [1] }) as const;

test('a frame near all edges is said once', () => {
  const near = (['top', 'right', 'bottom', 'left'] as const).map((edge) => line(edge));
  expect(edgeWords(near, 'mirrored', PAGE)).toEqual([
    '1 line 1.4 mm inside each edge: seen a second time, 1.4 mm beyond the cut. It shows where the knife is off by ' +
      'more.',
  ]);
  expect(edgeWords(near, 'stretched', PAGE)).toEqual([
    '1 line 1.4 mm inside each edge: pushed over the trim and cut off.',
  ]);
  expect(edgeWords(near, 'own', PAGE)).toEqual([]);
});

test('a page that is drawn larger moves what is near its edge outwards, less and less further in', () => {
  // Worked by hand: 148 mm become 154, and the page begins 3 mm further out: 2.9 × 154 / 148 − 3 = 0.0176.
  expect(insideStretched(line('left', 2.9), PAGE)).toBeCloseTo(0.0176, 4);
  // Halfway across nothing moves.
  expect(insideStretched(line('left', 74), PAGE)).toBeCloseTo(74, 9);
  expect(edgeWords([{ ...line('left', 2.99), kind: 'words', count: 2 }], 'stretched', PAGE)).toEqual([
    '2 lines of words 3 mm inside the left edge: then 0.1 mm from it.',
  ]);
});
