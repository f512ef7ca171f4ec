import type { Blank } from '../format';
import type { DriftSide } from '../drift';
import type { Drawing, Frame, Note } from '../drawing';
import {
  elementsOn,
  finishOn,
  mapElements,
  redecided,
  withSide,
  type Element,
  type Finishing,
  type Job,
  type Piece,
  type SideName,
  type StyleBook,
} from '../job';
import type { Rect } from '../layout';
import type { Mm } from '../measure';
import { formatLength } from '../measure';
import type { Rules } from '../rules';
import { editFinish, mergedInks, takeKit, withInk, withoutElements } from '../edit';

/** Every rule by its id, in the order a preflight reads best. */
export const RULE_IDS = [
  'blank-problems',
  'bleed-narrow',
  'bleed',
  'page-bleed',
  'safe-area',
  'uneven-border',
  'zones',
  'hole-drift',
  'text-overflow',
  'table-past-box',
  'printable-room',
  'copies-left',
  'missing',
  'code-wrong',
  'column-unknown',
  'code-size',
  'code-quiet',
  'code-contrast',
  'foreign-page',
  'slot-open',
  'picture-resolution',
  'plate-names',
  'coat-knocks-out',
  'coat-solid',
  'coat-fine',
  'coat-drift',
  'finish-lost',
  'cut-bleed',
  'coat-on-glue',
  'fold-meet',
  'fold-drift',
  'white-missing',
  'total-ink',
  'rgb-left',
  'out-of-gamut',
  'near-inks',
  'white-overprints',
  'black-knocks-out',
  'gradient-overprint',
  'rich-black',
  'trap',
  'type-small',
  'type-distance',
  'typography',
  'type-families',
  'kit',
  'line-thin',
  'placement',
  'near-miss',
  'laid-twice',
  'vector-wanted',
  'empty-page',
  'show-through',
  'back-drift',
  'slow-drying',
  'curl',
] as const;
export type RuleId = (typeof RULE_IDS)[number];

/** `fault`: the press or the knife will spoil it. `warning`: look at it. `note`: good to know. */
export type Severity = 'fault' | 'warning' | 'note';

/** A change of the job that mends a finding. */
export type Change =
  | { readonly kind: 'element'; readonly element: Element }
  /** Without an element. */
  | { readonly kind: 'remove'; readonly element: string }
  /** One more element on a side, above the others. */
  | { readonly kind: 'add'; readonly piece: string; readonly side: SideName; readonly element: Element }
  /** Styles and measures as the client’s kit has them. */
  | { readonly kind: 'kit' }
  /** A line or coating otherwise; without one, none. */
  | {
      readonly kind: 'finishing';
      readonly piece: string;
      readonly side: SideName;
      readonly id: string;
      readonly to: Finishing | undefined;
    }
  /** One more line or coating on a side. */
  | { readonly kind: 'add-finishing'; readonly piece: string; readonly side: SideName; readonly finishing: Finishing }
  /** A spot ink by another name, or two as one. */
  | { readonly kind: 'rename-ink'; readonly from: string; readonly to: string }
  | { readonly kind: 'merge-inks'; readonly from: string; readonly into: string }
  | { readonly kind: 'sides'; readonly piece: string; readonly sides: 1 | 2 };

export interface Fix {
  readonly label: string;
  readonly change: Change;
}

export interface Finding {
  /** Its id; `file` where what is wrong is said of a file that was brought in. */
  readonly rule: string;
  readonly severity: Severity;
  readonly piece: string;
  readonly surface: SideName;
  readonly element: string | null;
  /** What the finding is about, mm from the trimmed top-left corner. */
  readonly where: Rect;
  readonly message: string;
  readonly why: string;
  readonly fixes: readonly Fix[];
  /** The copy on which it is seen best, of the thousand that are drawn, from 0. */
  readonly copy?: number;
}

/** One side of a piece, with everything a rule may look at. */
export interface Subject {
  readonly job: Job;
  readonly piece: Piece;
  readonly side: SideName;
  readonly blank: Blank;
  readonly rules: Rules;
  readonly drawing: Drawing;
  /** The other side of the same leaf, where it has one and it is drawn. */
  readonly back: Drawing | undefined;
  readonly elements: ReadonlyMap<string, Element>;
  /** The job’s type styles. */
  readonly book: StyleBook;
  /** What the machines of the house do to the side; worked out when it is first asked for. */
  readonly drift: () => DriftSide | undefined;
}

/** What a rule reports; the registry adds where it was found. */
export interface Report {
  readonly severity: Severity;
  readonly element: string | null;
  readonly where: Rect;
  readonly message: string;
  readonly fixes?: readonly Fix[];
  /** The copy on which it is seen best, from 0. */
  readonly copy?: number;
}

export interface Rule {
  readonly id: RuleId;
  readonly title: string;
  /** Why it matters, for a person who has not yet spoilt a job by it. */
  readonly why: string;
  readonly check: (subject: Subject) => readonly Report[];
}

/** An element of the side beside the frame it was laid in. */
export interface Framed {
  readonly element: Element;
  readonly frame: Frame;
}

/** Each element of the side beside the frame it was laid in. */
export const framed = (subject: Subject): readonly Framed[] =>
  subject.drawing.frames.flatMap((frame) => {
    const element = subject.elements.get(frame.element);
    return element ? [{ element, frame }] : [];
  });

/** Notes of a kind, each with its element and frame. */
export function noted<K extends Note['kind']>(subject: Subject, kind: K) {
  const notes = subject.drawing.notes.filter((note): note is Extract<Note, { kind: K }> => note.kind === kind);
  if (notes.length === 0) return [];
  const frames = new Map(framed(subject).map((f) => [f.element.id, f]));
  return notes.flatMap((note) => {
    const found = frames.get(note.element);
    return found ? [{ note, ...found }] : [];
  });
}

export const replace = (label: string, element: Element): Fix => ({ label, change: { kind: 'element', element } });

export const remove = (label: string, { id }: Element): Fix => ({ label, change: { kind: 'remove', element: id } });

/** A line or coating of the side, by its id. */
export const finishingNamed = ({ piece, side }: Subject, id: string): Finishing | undefined =>
  finishOn(piece, side).find((f) => f.id === id);

/** A fix that changes a line or a coating, or takes it away. */
export const refinish = ({ piece, side }: Subject, label: string, id: string, to: Finishing | undefined): Fix => ({
  label,
  change: { kind: 'finishing', piece: piece.id, side, id, to },
});

export const writeIn = (job: Job, mm: Mm): string => formatLength(mm, job.unit);

/** The job with a fix applied; everything else stays the same object. */
export function applyChange(job: Job, change: Change): Job {
  switch (change.kind) {
    case 'kit':
      return job.kit ? takeKit(job, job.kit) : job;
    case 'finishing': {
      const { piece, side, id, to } = change;
      return editFinish(job, piece, side, (list) => list.flatMap((f) => (f.id === id ? (to ? [to] : []) : [f])));
    }
    case 'add-finishing':
      return editFinish(job, change.piece, change.side, (list) => [...list, change.finishing]);
    case 'rename-ink': {
      const ink = job.inks?.find((i) => i.name === change.from);
      return ink ? withInk(job, { ...ink, name: change.to }, change.from) : job;
    }
    case 'merge-inks':
      return mergedInks(job, change.from, change.into);
    case 'sides':
      return {
        ...job,
        pieces: job.pieces.map((p) => (p.id === change.piece ? redecided(p, { sides: change.sides }) : p)),
      };
    case 'add':
      return {
        ...job,
        pieces: job.pieces.map((p) =>
          p.id === change.piece ? withSide(p, change.side, [...elementsOn(p, change.side), change.element]) : p,
        ),
      };
    case 'remove':
      return { ...job, pieces: job.pieces.map((p) => withoutElements(p, [change.element])) };
    case 'element': {
      const { element } = change;
      return { ...job, pieces: job.pieces.map((p) => mapElements(p, (e) => (e.id === element.id ? element : e))) };
    }
  }
}
