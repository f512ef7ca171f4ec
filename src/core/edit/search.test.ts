import fc from 'fast-check';
import { box, makeJob, words } from '../../testing/jobs';
import { elementsOn, plainText, tableOfWords, type Element, type Job } from '../job';
import { pieceOf } from './on-side';
import { newElement } from './new-element';
import { findFamilies, findNames, findPaint, findWords, replaceFamily, replacePaint, replaceWords } from './search';

const INK = { kind: 'process', c: 88, m: 78, y: 38, k: 36 } as const;
const PALE = { kind: 'process', c: 2, m: 6, y: 26, k: 0 } as const;

const textOf = (job: Job, id: string): string => {
  const element = elementsOn(pieceOf(job), 'front').find((e) => e.id === id);
  return element?.kind === 'text' ? plainText(element.paragraphs) : '';
};

describe('words', () => {
  const job = makeJob([
    words('a', 'The moon, the Moon and moonlight.\nNo moons.', [0, 0, 60, 20]),
    { ...box('moon', [0, 0, 5, 5]), name: 'Moon of paper' },
  ]);

  test.each<readonly [string, Parameters<typeof findWords>[1], readonly string[]]>([
    ['any case, any part', { words: 'moon' }, ['moon', 'Moon', 'moon', 'moon']],
    ['as it is written', { words: 'Moon', matchCase: true }, ['Moon']],
    ['whole words', { words: 'moon', wholeWords: true }, ['moon', 'Moon']],
    ['across a line', { words: 'moonlight.\nNo' }, ['moonlight.\nNo']],
    ['nothing', { words: '' }, []],
  ])('%s', (_, wanted, found) => {
    expect(findWords(job, wanted).map(({ match }) => match)).toEqual(found);
  });

  test('each place with what stands around it', () => {
    expect(findWords(job, { words: 'and' })[0]).toMatchObject({
      side: 'front',
      text: 'a',
      element: 'a',
      before: 'The moon, the Moon ',
      match: 'and',
      after: ' moonlight.\nNo moons.',
    });
  });

  test('replaced at those places that are chosen', () => {
    const found = findWords(job, { words: 'moon' });
    expect(textOf(replaceWords(job, found, 'star'), 'a')).toBe('The star, the star and starlight.\nNo stars.');
    expect(textOf(replaceWords(job, found.slice(1, 3), 'sun'), 'a')).toBe('The moon, the sun and sunlight.\nNo moons.');
    expect(replaceWords(job, [], 'x')).toBe(job);
  });

  test('in the look of what stood there', () => {
    const bold = { text: 'moon', look: { weight: 700 } };
    const text = { ...words('a', '', [0, 0, 9, 9]), paragraphs: [{ runs: [{ text: 'the ' }, bold] }] } as Element;
    const styled = makeJob([text]);
    const [made] = elementsOn(pieceOf(replaceWords(styled, findWords(styled, { words: 'oon' }), 'eteor')), 'front');
    expect(made?.kind === 'text' && made.paragraphs[0]?.runs).toEqual([
      { text: 'the ' },
      { text: 'meteor', look: { weight: 700 } },
    ]);
  });

  test('in the cells of a table', () => {
    const table = { ...newElement('table', { safe: { x: 0, y: 0, width: 90, height: 90 } } as never), id: 't' };
    const held = makeJob([
      {
        ...table,
        ...tableOfWords([
          ['20:30', 'Gates'],
          ['21:00', 'Gates'],
        ]),
      } as Element,
    ]);
    const found = findWords(held, { words: 'gates' });
    expect(found.map(({ element }) => element)).toEqual(['t', 't']);
    const after = replaceWords(held, found.slice(1), 'Talk');
    expect(findWords(after, { words: 'Gates' })).toHaveLength(1);
    expect(findWords(after, { words: 'Talk' })).toHaveLength(1);
  });

  test('whatever is replaced by itself leaves every letter where it was', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 40 }), fc.string({ minLength: 1, maxLength: 3 }), (text, sought) => {
        fc.pre(!/[\n\u0000-\u001F]/.test(text + sought));
        const one = makeJob([words('a', text, [0, 0, 9, 9])]);
        const found = findWords(one, { words: sought, matchCase: true });
        expect(found).toHaveLength(text.split(sought).length - 1);
        expect(textOf(replaceWords(one, found, sought), 'a')).toBe(textOf(one, 'a'));
      }),
    );
  });
});

test('things by their names', () => {
  const job = makeJob([{ ...box('a', [0, 0, 5, 5]), name: 'Date band' }, box('b', [0, 0, 5, 5])]);
  expect(findNames(job, { words: 'band' })).toEqual([{ side: 'front', element: 'a', name: 'Date band' }]);
});

describe('colours', () => {
  const style = { id: 's', name: 'Small', of: 'paragraph', basedOn: null, next: null, look: { paint: INK } } as const;
  const job = makeJob(
    [
      box('band', [0, 0, 5, 5], { fill: INK }),
      words('own', 'Own', [0, 0, 9, 9], { paint: INK }),
      { ...words('styled', 'Styled', [0, 0, 9, 9]), style: 's' },
      box('pale', [0, 0, 5, 5], { fill: PALE }),
    ],
    { styles: [style] },
  );

  test('found wherever they are laid, and replaced in elements and styles', () => {
    expect(findPaint(job, '88 78 38 36').map(({ element }) => element)).toEqual(['band', 'own', 'styled']);
    const after = replacePaint(job, '88 78 38 36', PALE);
    expect(findPaint(after, '88 78 38 36')).toEqual([]);
    expect(findPaint(after, '2 6 26 0')).toHaveLength(4);
    // What follows from a style goes on following from it.
    const styled = elementsOn(pieceOf(after), 'front').find((e) => e.id === 'styled');
    expect(styled?.kind === 'text' && styled.look.paint).toBeUndefined();
    expect(after.styles[0]?.look.paint).toEqual(PALE);
  });
});

test('families are found, and one takes the place of another in elements, runs and styles', () => {
  const run = { text: 'b', look: { family: 'Oswald' } };
  const job = makeJob(
    [
      words('a', 'a', [0, 0, 9, 9], { family: 'Lora' }),
      { ...words('b', '', [0, 0, 9, 9], { family: 'Jost' }), paragraphs: [{ runs: [run] }] },
    ],
    { styles: [{ id: 's', name: 'S', of: 'paragraph', basedOn: null, next: null, look: { family: 'Lora' } }] },
  );
  expect([...findFamilies(job).keys()]).toEqual(['Lora', 'Jost']);
  const after = replaceFamily(replaceFamily(job, 'Lora', 'Montserrat'), 'Oswald', 'Montserrat');
  expect([...findFamilies(after).keys()]).toEqual(['Montserrat', 'Jost']);
  expect(after.styles[0]?.look.family).toBe('Montserrat');
  expect(JSON.stringify(after)).not.toMatch(/Lora|Oswald/);
  expect(pieceOf(replaceFamily(job, 'Nothing', 'Lora'))).toEqual(pieceOf(job));
});
