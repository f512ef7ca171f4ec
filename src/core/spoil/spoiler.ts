import { applyChange, framed, type Framed, type RuleId, type Subject } from '../check';
import { withPiece, type Element, type ElementOf, type Job, type Piece } from '../job';
import { moveTo, type Rect } from '../layout';

/** How hard a fault is to see: from 1, at a glance, to 4, only by one who looks for it. */
export const LEVELS = [1, 2, 3, 4] as const;
export type Level = (typeof LEVELS)[number];

/** One way to spoil a sound side. */
export interface Spoilt {
  /** What it is done to; none where it is the piece as a whole. */
  readonly elements: readonly string[];
  /** What was done, as one says it afterwards. */
  readonly did: string;
  readonly spoil: (job: Job) => Job;
}

/** The opposite of a check: what it would find, done. */
export interface Spoiler {
  readonly level: Level;
  /** Each place of a side where it can be done, the plainest first; none where it cannot. */
  readonly ways: (subject: Subject) => Iterable<Spoilt>;
  /** Other checks that may find something too, since one follows from the other. */
  readonly brings?: readonly RuleId[];
}

/** An element as it should not be. */
export const otherwise = (did: string, element: Element): Spoilt => ({
  elements: [element.id],
  did,
  spoil: (job) => applyChange(job, { kind: 'element', element }),
});

/** A fact of the piece as it should not be. */
export const withFacts = (
  { piece: { id } }: Subject,
  did: string,
  facts: Partial<Pick<Piece, 'bleed' | 'safe' | 'finish'>>,
): Spoilt => ({
  elements: [],
  did,
  spoil: (job) =>
    job.pieces.filter((piece) => piece.id === id).reduce((now, piece) => withPiece(now, { ...piece, ...facts }), job),
});

/** Something of the job as it should not be. */
export const inJob = (did: string, more: (job: Job) => Partial<Job>): Spoilt => ({
  elements: [],
  did,
  spoil: (job) => ({ ...job, ...more(job) }),
});

/** An element set down elsewhere, or in another size. */
export const laid = <E extends Element>({ drawing }: Subject, { element, frame }: FramedOf<E>, to: Rect): E => ({
  ...element,
  placement: moveTo(element.placement, to, drawing.boxes, frame.rect),
});

interface FramedOf<E extends Element> extends Framed {
  readonly element: E;
}

/** What is printed of some kinds: each once, and where it was put, not where a row puts it. */
export function* printed<K extends Element['kind']>(
  subject: Subject,
  ...kinds: readonly K[]
): Generator<FramedOf<ElementOf<K>>> {
  const rows = new Set(subject.piece.groups.flatMap(({ id, row }) => (row ? [id] : [])));
  for (const one of framed(subject)) {
    const { element, frame } = one;
    if (element.group !== null && rows.has(element.group)) continue;
    const isKind = kinds.some((kind) => kind === element.kind);
    if (isKind && frame.items.length > 0 && element.repeat.length === 0 && element.unprinted !== true)
      yield one as FramedOf<ElementOf<K>>;
  }
}

/** Texts that stand by themselves: none that takes up another, runs along a shape, or grows with its words. */
export function* plainTexts(subject: Subject): Generator<FramedOf<ElementOf<'text'>>> {
  for (const one of printed(subject, 'text')) {
    const { after, along, fit } = one.element;
    if (after === null && along === null && fit === null) yield one;
  }
}

/** What something is called within a sentence. */
export const called = ({ frame }: Framed): string => `“${frame.name}”`;

/** Smaller things first, which change less of what lies around them. */
export const smallestFirst = <F extends Framed>(found: Iterable<F>): F[] =>
  [...found].sort((a, b) => areaOf(a.frame.rect) - areaOf(b.frame.rect));

export const largestFirst = <F extends Framed>(found: Iterable<F>): F[] => smallestFirst(found).reverse();

const areaOf = ({ width, height }: Rect): number => width * height;
