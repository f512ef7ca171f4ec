import { roughBoxes } from '../compose';
import { elementsOn, plainName, withSide, type ElementOf, type Job, type Piece, type SideName } from '../job';
import type { Rect } from '../layout';
import { changePiece, pieceOf } from './on-side';

/** A picture that came in, with the name of its file. */
export interface PictureFile {
  readonly sha: string;
  readonly name: string;
}

/** A frame, and the picture that it took. */
export interface FilledFrame {
  readonly side: SideName;
  readonly element: string;
  readonly sha: string;
}

export interface FramesFilled {
  readonly job: Job;
  readonly filled: readonly FilledFrame[];
  /** Pictures for which there was no frame. */
  readonly left: readonly PictureFile[];
}

/** Where pictures come in. */
export interface FillPlace {
  readonly side: SideName;
  /** Frames of that side that were pointed at or chosen: they come first, and a picture that they hold goes. */
  readonly chosen: readonly string[];
  /** Whether other empty frames are filled, on this side and on those that follow. */
  readonly goesOn: boolean;
}

type Frame = ElementOf<'picture'>;

/**
 * Fills frames with pictures. A picture that an empty frame asks for by its file’s name goes there, wherever that is in
 * the piece, and into every one that asks; the rest go into the chosen frames, then into the empty ones in reading
 * order, from this side on and round to the sides before it.
 */
export function fillFrames(job: Job, pictures: readonly PictureFile[], place: FillPlace): FramesFilled {
  const piece = pieceOf(job);
  const sides = sidesFrom(job, piece, place.side);
  const chosen = new Set(place.chosen);
  const open = sides.flatMap(({ side, frames }) =>
    frames
      .filter((frame) => frame.picture === null || (side === place.side && chosen.has(frame.id)))
      .map((frame) => ({ side, frame })),
  );
  const isChosen = ({ side, frame }: (typeof open)[number]) => side === place.side && chosen.has(frame.id);
  const filled: FilledFrame[] = [];
  const isTaken = ({ frame }: (typeof open)[number]) => filled.some(({ element }) => element === frame.id);
  const nameless: PictureFile[] = [];
  for (const picture of pictures) {
    const asking = open.filter((o) => o.frame.picture === null && !isTaken(o) && asksFor(o.frame, picture.name));
    if (asking.length === 0) nameless.push(picture);
    for (const { side, frame } of asking) filled.push({ side, element: frame.id, sha: picture.sha });
  }
  const waiting = [...open.filter(isChosen), ...(place.goesOn ? open.filter((o) => !isChosen(o)) : [])].filter(
    (o) => !isTaken(o),
  );
  waiting.slice(0, nameless.length).forEach(({ side, frame }, i) => {
    const { sha } = nameless[i] ?? {};
    if (sha !== undefined) filled.push({ side, element: frame.id, sha });
  });
  return { job: withPictures(job, piece, filled), filled, left: nameless.slice(waiting.length) };
}

function withPictures(job: Job, piece: Piece, filled: readonly FilledFrame[]): Job {
  const next = [...new Set(filled.map(({ side }) => side))].reduce((p, side) => {
    const here = new Map(filled.filter((f) => f.side === side).map(({ element, sha }) => [element, sha]));
    return withSide(
      p,
      side,
      elementsOn(p, side).map((e) => {
        const picture = here.get(e.id);
        return e.kind === 'picture' && picture !== undefined ? { ...e, picture } : e;
      }),
    );
  }, piece);
  return changePiece(job, () => next);
}

/** Sides with their picture frames in reading order; the one that is looked at comes first. */
function sidesFrom(job: Job, piece: Piece, first: SideName) {
  const all = [...roughBoxes(job, piece)].map(([side, { placed }]) => ({
    side,
    frames: inReadingOrder(
      elementsOn(piece, side).flatMap((e): { frame: Frame; rect: Rect }[] => {
        const rect = placed[e.id];
        return e.kind === 'picture' && rect ? [{ frame: e, rect }] : [];
      }),
    ).map(({ frame }) => frame),
  }));
  const at = Math.max(
    0,
    all.findIndex(({ side }) => side === first),
  );
  return [...all.slice(at), ...all.slice(0, at)];
}

/** From the top left, row by row: what overlaps by half its height stands in one row. */
export const inReadingOrder = <T extends { readonly rect: Pick<Rect, 'x' | 'y' | 'height'> }>(
  framed: readonly T[],
): readonly T[] =>
  [...framed].sort(({ rect: a }, { rect: b }) =>
    Math.abs(a.y - b.y) < Math.min(a.height, b.height) / 2 ? a.x - b.x : a.y - b.y,
  );

/** Whether a frame is named as a file, or asks for one of that name; the ending need not be said. */
function asksFor({ name, wants }: Frame, file: string): boolean {
  const names = [plainName(file), plainName(file.replace(/\.[^.]*$/, ''))];
  return [name, wants].some((said) => said.trim() !== '' && names.includes(plainName(said)));
}
