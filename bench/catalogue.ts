import { createComposer, composeContextOf } from '../src/core/compose';
import { blankOf, elementsOn, rulesFor, sideOfBase, withSide, type Piece } from '../src/core/job';
import { openDesk } from '../src/output';
import { demoPiece } from '../src/testing/demo';
import { mean, ms, note, times } from './report';

/** The catalogue of the demo, a hundred pages and its cover, as the bench draws it. */
export async function catalogue(): Promise<void> {
  const { job, assets } = await demoPiece('catalogue', 0.1);
  const desk = await openDesk(job, assets);
  const [piece] = job.pieces;
  if (!piece) throw new Error('no catalogue');
  const blank = blankOf(job, piece);
  const { surfaces } = blank;
  const fresh = () => createComposer(composeContextOf(job, rulesFor(job, piece).ppi.value, desk.resources));
  const spread = ['page 4', 'page 5'];
  const [seen, all] = [
    await mean(() => fresh().piece(piece, surfaces, spread)),
    await mean(() => fresh().piece(piece, surfaces)),
  ];
  note('draw the spread that is seen, of a hundred pages (floor: all of them)', ms(seen), ms(all), times(seen, all));

  const composer = fresh();
  composer.piece(piece, surfaces);
  let n = 0;
  const moved = (side: string): Piece =>
    withSide(
      piece,
      side,
      elementsOn(piece, side).map((e) => (e.name === 'text' ? { ...e, opacity: 1 - ((n += 1) % 50) / 100 } : e)),
    );
  const one = await mean(() => composer.piece(moved('page 5'), surfaces, spread));
  note('… one page changed and the spread drawn again (floor: all pages anew)', ms(one), ms(all), times(one, all));
  const words = sideOfBase(piece.bases.find((b) => b.name === 'Words')?.id ?? '');
  const every = await mean(() => composer.piece(moved(words), surfaces));
  note(
    '… a base layout changed and all pages drawn again (floor: all pages anew)',
    ms(every),
    ms(all),
    times(every, all),
  );
}
