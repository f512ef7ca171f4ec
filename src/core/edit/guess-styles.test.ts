import { makeJob, words } from '../../testing/jobs';
import type { ElementOf, TypeStyle } from '../job';
import { guessedStyles, rolesOf } from './guess-styles';

const TEXT = [
  'What to bring',
  'The nights are cold on the moor, even in August, and nobody sells tea up there.',
  '• a blanket',
  '– something hot',
  '1. Come after dusk.',
  '2) Leave the white lamps at home.',
  '',
  'How to get here',
  'Bus 8 leaves the bridge at ten past eight and waits for everybody who is late.',
].join('\n');

test('headings, items of lists and the rest are told apart by how they begin and what follows them', () => {
  expect(rolesOf(TEXT.split('\n'))).toEqual([
    'heading',
    'body',
    'bullet',
    'bullet',
    'number',
    'number',
    'body',
    'heading',
    'body',
  ]);
});

test.each([
  ['one line alone', 'What to bring'],
  ['short lines alone, as an address', 'Quillrook Dark-Sky Society\nThe Old Toll House\nHollin Ford'],
  ['sentences', 'Look up at night.\nThe moon is out of the way until two in the morning.'],
  ['minus five degrees', '-5 °C at night\nand clear'],
])('no heading and no list in %s', (_what, text) => {
  expect(new Set(rolesOf(text.split('\n')))).toEqual(new Set(['body']));
  const job = makeJob([words('t', text, [10, 10, 100, 50])]);
  expect(guessedStyles(job, textOf(job))).toBeUndefined();
});

const style = (id: string, name: string, sizePt: number): TypeStyle =>
  ({ id, of: 'paragraph', name, basedOn: null, look: { sizePt } }) as TypeStyle;

const textOf = (job: ReturnType<typeof makeJob>): ElementOf<'text'> => {
  const [text] = job.pieces[0]?.surfaces['front'] ?? [];
  if (text?.kind !== 'text') throw new Error('no text');
  return text;
};

test('in the job’s own styles, by what they are called', () => {
  const styles = [style('small', 'Small print', 7), style('b', 'Body text', 10), style('h', 'Heading', 16)];
  const job = makeJob([words('t', TEXT, [10, 10, 100, 50])], { styles });
  const guess = guessedStyles(job, textOf(job));
  expect(guess?.words).toBe('2 headings in “Heading”, 4 items of a list, the rest in “Body text”');
  expect(guess?.paragraphs.map((p) => p.style)).toEqual(['h', 'b', 'b', 'b', 'b', 'b', 'b', 'h', 'b']);
  expect(guess?.paragraphs[2]).toMatchObject({ look: { list: { list: 'bullet' } }, runs: [{ text: 'a blanket' }] });
  expect(guess?.paragraphs[5]).toMatchObject({
    look: { list: { list: 'number' } },
    runs: [{ text: 'Leave the white lamps at home.' }],
  });
});

test('by size where names say nothing; bold where there is no style at all', () => {
  const named = makeJob([words('t', TEXT, [10, 10, 100, 50])], { styles: [style('x', 'A', 24), style('y', 'B', 9)] });
  expect(
    guessedStyles(named, textOf(named))
      ?.paragraphs.slice(0, 2)
      .map((p) => p.style),
  ).toEqual(['x', 'y']);
  const bare = makeJob([words('t', TEXT, [10, 10, 100, 50])]);
  const guess = guessedStyles(bare, textOf(bare));
  expect(guess?.words).toBe('2 headings, bold, 4 items of a list');
  expect(guess?.paragraphs[0]).toEqual({ look: { weight: 700 }, runs: [{ text: 'What to bring' }] });
  expect(guess?.paragraphs[1]).toEqual({ runs: [{ text: TEXT.split('\n')[1] }] });
});
