import { begin, makeJob, picture, pictureFacts } from '../../testing/jobs';
import { BaseLayout, PageLayout, elementsOn, withSide, type Element, type Job, type SideName } from '../job';
import { fillFrames, type FillPlace, type PictureFile } from './fill-frames';
import { pieceOf } from './on-side';

const shaOf = (letter: string): string => letter.repeat(64);
const file = (letter: string, name = `${letter}.jpg`): PictureFile => ({ sha: shaOf(letter), name });

/** What each frame of a side holds, by the letter of its picture. */
const heldOn = (job: Job, side: SideName): Record<string, string | null> =>
  Object.fromEntries(
    elementsOn(pieceOf(job), side).flatMap((e) =>
      e.kind === 'picture' ? [[e.name, e.picture === null ? null : (e.picture[0] ?? null)]] : [],
    ),
  );

const everywhere: FillPlace = { side: 'front', chosen: [], goesOn: true };

/** Four frames in two rows, laid down from the last to the first, and two on the back. */
function board(front: readonly Element[] = rows()): Job {
  const job = makeJob(front, {}, { sides: 2 });
  const back = [picture('back-two', null, [80, 10, 40, 40]), picture('back-one', null, [10, 10, 40, 40])];
  return { ...job, pieces: [withSide(pieceOf(job), 'back', back)] };
}

const rows = () => [
  picture('four', null, [80, 112, 40, 40]),
  picture('three', null, [10, 110, 40, 40]),
  picture('two', null, [80, 10, 40, 40]),
  picture('one', null, [10, 12, 40, 40]),
];

test('empty frames take pictures row by row, then those of the sides that follow', () => {
  const { job, filled, left } = fillFrames(
    board(),
    ['a', 'b', 'c', 'd', 'e'].map((l) => file(l)),
    everywhere,
  );
  expect(heldOn(job, 'front')).toEqual({ one: 'a', two: 'b', three: 'c', four: 'd' });
  expect(heldOn(job, 'back')).toEqual({ 'back-one': 'e', 'back-two': null });
  expect(filled).toHaveLength(5);
  expect(left).toEqual([]);
});

test('from the back on it goes round to the front', () => {
  const { job, left } = fillFrames(
    board(),
    ['a', 'b', 'c'].map((l) => file(l)),
    { ...everywhere, side: 'back' },
  );
  expect(heldOn(job, 'back')).toEqual({ 'back-one': 'a', 'back-two': 'b' });
  expect(heldOn(job, 'front')).toMatchObject({ one: 'c', two: null });
  expect(left).toEqual([]);
});

test('a frame that asks for a file by name gets that one, wherever it is and as often as it is asked for', () => {
  const asking = [
    picture('one', null, [10, 10, 40, 40]),
    picture('two', null, [80, 10, 40, 40], { wants: 'Dôme.TIF' }),
  ];
  const job = board(asking);
  const back = elementsOn(pieceOf(job), 'back').map((e) => (e.name === 'back-two' ? { ...e, name: 'dôme' } : e));
  const both = { ...job, pieces: [withSide(pieceOf(job), 'back', back)] };
  // As a file system may write it: letter and accent apart.
  const files = [file('a', 'dôme.tif'.normalize('NFD')), file('b')];
  const { job: after, left } = fillFrames(both, files, everywhere);
  expect(heldOn(after, 'front')).toEqual({ one: 'b', two: 'a' });
  expect(heldOn(after, 'back')).toEqual({ 'back-one': null, dôme: 'a' });
  expect(left).toEqual([]);
});

test('a frame that was pointed at takes the first, though it is full; others that are full keep theirs', () => {
  const full = board([picture('one', shaOf('8'), [10, 10, 40, 40]), picture('two', shaOf('9'), [80, 10, 40, 40])]);
  const place = { side: 'front', chosen: ['two'], goesOn: false };
  const { job, left } = fillFrames(full, [file('a'), file('b')], place);
  expect(heldOn(job, 'front')).toEqual({ one: '8', two: 'a' });
  expect(left).toEqual([file('b')]);
});

test('nothing is changed where there is no frame, and no picture is lost', () => {
  const bare = makeJob([]);
  const { job, filled, left } = fillFrames(bare, [file('a')], everywhere);
  expect(job).toEqual(bare);
  expect([filled, left]).toEqual([[], [file('a')]]);
});

test('a picture without a name does not go into a frame without one as if it were asked for', () => {
  const one = makeJob([picture('one', null, [10, 10, 40, 40], { name: '' })]);
  expect(fillFrames(one, [file('a', '.jpg')], { ...everywhere, goesOn: false }).left).toHaveLength(1);
});

test('frames of a base layout are filled on each page by itself, from the page that is looked at on', () => {
  const book = begin('booklet', { size: 'A5', pages: '8' });
  const id = 'layout';
  const base = BaseLayout.parse({ id, name: 'Pictures', elements: [picture('plate', null, [20, 20, 60, 60])] });
  const pages = ['page 2', 'page 3', 'page 4'];
  const piece = pieceOf(book);
  const laid: Job = {
    ...book,
    assets: { [shaOf('a')]: pictureFacts(900, 600) },
    pieces: [
      {
        ...piece,
        bases: [base],
        layouts: Object.fromEntries(pages.map((page, i) => [page, PageLayout.parse({ key: `k${i}`, base: id })])),
      },
    ],
  };
  const { job, filled } = fillFrames(laid, [file('a'), file('b')], { ...everywhere, side: 'page 3' });
  expect(filled.map(({ side }) => side)).toEqual(['page 3', 'page 4']);
  expect(heldOn(job, 'page 3')).toEqual({ plate: 'a' });
  expect(heldOn(job, 'page 2')).toEqual({ plate: null });
  expect(pieceOf(job).bases[0]?.elements).toEqual(laid.pieces[0]?.bases[0]?.elements);
});
