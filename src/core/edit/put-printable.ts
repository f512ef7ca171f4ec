import {
  Element,
  type ElementInput,
  type PrintableContent,
  blankOf,
  sideOfBase,
  withSide,
  type Job,
  type Piece,
  type SideName,
  withPiece,
  startJob,
  type NewJob,
  type Started,
} from '../job';
import { monthOn } from '../dates';
import { formatOf } from '../format';
import type { JobUnit } from '../measure';
import { readTyped, withUsual, type TypedDecisions } from '../parameter';
import type { GalleryEntry } from '../printable';
import { isImperial } from '../rules';
import { withBase, withNewBase } from './pages';

/** The decisions of a printable from what was typed; what was not is as in the gallery, then as is usual. */
export function printableContent(
  entry: GalleryEntry,
  typed: Readonly<Record<string, string>>,
  unit: JobUnit,
): TypedDecisions & { readonly content?: PrintableContent } {
  const { of, decisions } = entry;
  const read = readTyped(of.parameters, { ...decisions, ...typed }, { unit, ppi: 300 }, `A ${of.kind}`);
  if (!read.ok) return read;
  const habit = isImperial(unit) ? 'imperial' : 'metric';
  return { ...read, content: { of: of.kind, ...withUsual(of.parameters, read.values, habit) } };
}

/** A printable as an element, in a box. */
export const printableElement = (
  id: string,
  name: string,
  content: PrintableContent,
  placement: ElementInput['placement'],
): Element => Element.parse({ kind: 'printable', id, name, placement, content });

const SAFE = { against: { box: 'safe' }, x: { start: 0, end: 0 }, y: { start: 0, end: 0 } } as const;
const WHOLE = { ...SAFE, against: { box: 'trim' } } as const;

/** Kept free around a face that stands, mm [cp]. */
const FACE_RIM = 8;

/** Months that follow on those of a calendar of several. */
const onFrom = ({ year, month, months }: PrintableContent): Readonly<Record<string, unknown>> => {
  if (typeof year !== 'number' || typeof month !== 'number') return {};
  return monthOn(year, month, typeof months === 'number' ? months : 1);
};

const mm = (value: unknown): number => (typeof value === 'number' ? value : 0);

/** Where a printable stands on a kind of piece, and on which of its sides. */
interface Place {
  readonly placement: NonNullable<ElementInput['placement']>;
  /** Another of it on the same side, which goes on from the first. */
  readonly second?: Pick<Place, 'placement' | 'decisions'>;
  /** Decisions that follow from the piece. */
  readonly decisions?: Readonly<Record<string, unknown>>;
  /**
   * It lies on a base layout that these sides follow, and goes on from one to the next; sides of a further list begin
   * anew, on a layout based on the first. Left out, it lies on the first side.
   */
  readonly sides?: (sides: readonly SideName[]) => readonly (readonly SideName[])[];
}

function placeOn(piece: Piece, content: PrintableContent): Place {
  switch (piece.kind) {
    case 'ruled-paper':
      return { placement: WHOLE };
    case 'wall-calendar': {
      const [binding, head, hanging] = [
        mm(piece.decisions['binding']),
        mm(piece.decisions['head']),
        piece.decisions['pages'] === 'pairs' ? mm(piece.decisions['hanging']) : 0,
      ];
      return {
        placement: { against: { box: 'trim' }, x: { start: 10, end: 10 }, y: { start: binding, end: hanging } },
        // So that the grid lies where the kind of piece has it.
        ...(content['title'] !== 'none' &&
          !('title-height' in content) && { decisions: { 'title-height': Math.max(0, head - binding) } }),
        sides: (sides) => [sides.filter((s) => /^month \d+( grid)?$/.test(s))],
      };
    }
    case 'booklet':
      // The first and the last page are the cover’s.
      return { placement: SAFE, sides: (sides) => [sides.filter((s) => s.startsWith('page ')).slice(1, -1)] };
    case 'catalogue':
      return { placement: SAFE, sides: (sides) => [sides.filter((s) => s.startsWith('page '))] };
    case 'table-tent': {
      // Both faces: the front stands on its head on the flat sheet, the back goes on from it.
      const face = (panel: string) =>
        ({
          against: { box: 'panel', panel },
          x: { start: FACE_RIM, end: FACE_RIM },
          y: { start: FACE_RIM, end: FACE_RIM },
        }) as const;
      return {
        placement: { ...face('front'), rotate: 180 },
        second: { placement: face('back'), decisions: onFrom(content) },
      };
    }
    case 'worksheet':
      // On two papers it is one definition, and worked out for each.
      return {
        placement: SAFE,
        ...(piece.decisions['also'] !== 'none' && {
          sides: (sides) => sides.filter((s) => s.endsWith('front')).map((s) => [s]),
        }),
      };
    default:
      return { placement: SAFE };
  }
}

/**
 * The job with a printable on the piece, where it belongs on such a piece.
 * @param fresh gives ids that nothing has yet
 */
export function withPrintable(
  job: Job,
  piece: Piece,
  name: string,
  content: PrintableContent,
  fresh: () => string,
): Job {
  const { placement, decisions, sides, second } = placeOn(piece, content);
  const element = printableElement(fresh(), name, { ...content, ...decisions }, placement);
  const names = blankOf(job, piece).surfaces.map((s) => s.name);
  const put = (): Piece => {
    const [first = [], ...further] = sides?.(names) ?? [];
    const more = second
      ? [printableElement(fresh(), `${name}, on`, { ...content, ...second.decisions }, second.placement)]
      : [];
    if (first.length === 0) return withSide(piece, names[0] ?? 'front', [element, ...more]);
    const called = name.slice(0, 60);
    const { piece: based, id } = withNewBase(piece, called, undefined, fresh);
    const laid = withBase(withSide(based, sideOfBase(id), [element]), first, id, fresh);
    return further.reduce((p, follow) => {
      const next = withNewBase(p, `${called.slice(0, 44)}, ${follow[0] ?? ''}`, undefined, fresh);
      const bases = next.piece.bases.map((b) => (b.id === next.id ? { ...b, base: id } : b));
      return withBase({ ...next.piece, bases }, follow, next.id, fresh);
    }, laid);
  };
  const laid = put();
  return withPiece(job, laid);
}

/**
 * Begins a job from the gallery: the piece it is usually made as, with the printable on it. What is typed belongs to
 * the printable where it has a decision of that name, else to the piece.
 */
export function startPrintable(
  entry: GalleryEntry,
  typed: Readonly<Record<string, string>>,
  about: NewJob,
  more: Parameters<typeof startJob>[3] = {},
  kind?: string,
  fresh: () => string = counter(),
): Started {
  const usual = kind === undefined || kind === entry.piece?.kind ? (entry.piece ?? { kind: 'worksheet' }) : { kind };
  const format = formatOf(usual.kind);
  if (!format) throw new RangeError(`There is no format “${usual.kind}”.`);
  const isOwn = (name: string) => Object.hasOwn(entry.of.parameters, name);
  const part = (own: boolean) => Object.fromEntries(Object.entries(typed).filter(([name]) => isOwn(name) === own));
  const decided = Object.fromEntries(Object.entries(usual).filter(([name]) => name !== 'kind'));
  const read = printableContent(entry, part(true), about.unit);
  if (!read.ok) return read;
  const started = startJob(format, { ...inUnit(decided, about.unit), ...part(false) }, about, more);
  if (!started.ok || !read.content) return started;
  const [piece] = started.job.pieces;
  return piece ? { ok: true, job: withPrintable(started.job, piece, entry.title, read.content, fresh) } : started;
}

/** Ids counted from 1. */
const counter = () => {
  let n = 0;
  return () => `printable-${(n += 1)}`;
};

/** Sizes of the gallery are metric; who thinks in inches has the nearest of their own. */
const OWN_SIZES: Readonly<Record<string, string>> = {
  A4: 'letter',
  A5: 'half letter',
  'A5 landscape': 'half letter landscape',
};

const inUnit = (decided: Readonly<Record<string, string>>, unit: NewJob['unit']): Readonly<Record<string, string>> =>
  isImperial(unit)
    ? Object.fromEntries(Object.entries(decided).map(([name, text]) => [name, OWN_SIZES[text] ?? text]))
    : decided;
