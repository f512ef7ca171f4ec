import {
  BLACK,
  Element,
  elementsOn,
  formKind,
  tableOfWords,
  type ElementInput,
  type ElementKind,
  type FormKind,
  type Job,
  type SideName,
} from '../job';
import { centredOn, moveTo, placed, type Point, type SurfaceBoxes } from '../layout';
import { pieceOf } from './on-side';

/** A short id that no element of the job has. */
export const freshId = (): string => crypto.randomUUID().slice(0, 12);

/** What can be added: a form of shape, or another kind of element. */
export type Addable = FormKind | Exclude<ElementKind, 'shape' | 'vector' | 'page' | 'printable'>;

const GREY = { kind: 'process', c: 0, m: 0, y: 0, k: 20 } as const;

/** Three columns with a header and three rows. */
const NEW_TABLE = Array.from({ length: 4 }, () => ['', '', '']);

const RULE = { paint: BLACK, widthPt: 0.5 };

/** Rules above, below, and beneath the header; finer ones between rows. */
const NEW_BORDERS = { top: RULE, header: RULE, bottom: RULE, rows: { ...RULE, widthPt: 0.25 } };

/** A new element, plain, about as large as a hand would draw it, in the middle of the upper part of the safe area. */
export function newElement(what: Addable, boxes: SurfaceBoxes, at?: Point): Element {
  const { safe } = boxes;
  const middle = at ?? { x: safe.x + safe.width / 2, y: safe.y + safe.height / 3 };
  const size = Math.min(safe.width, safe.height) / 3;
  const place = (width: number, height: number) => placed(centredOn(middle, width, height), { box: 'safe' }, boxes);
  return Element.parse({ id: freshId(), ...inputFor(what, place, size, Math.max(0, middle.y - safe.y - 6)) });
}

type Place = (width: number, height: number) => ElementInput['placement'];

function inputFor(what: Addable, place: Place, size: number, top: number): object {
  switch (what) {
    case 'line':
      return { kind: 'line', placement: place(size * 1.5, 0), stroke: { paint: BLACK, widthPt: 0.5 } };
    case 'picture':
      return { kind: 'picture', placement: place(size * 1.5, size), picture: null };
    case 'text':
      return {
        kind: 'text',
        placement: { against: { box: 'safe' }, x: { start: 0, end: 0 }, y: { start: top, size: 12 } },
        look: { sizePt: 12 },
      };
    case 'table':
      return {
        kind: 'table',
        placement: { against: { box: 'safe' }, x: { start: 0, end: 0 }, y: { start: top, size: 'content' } },
        ...tableOfWords(NEW_TABLE),
        header: { rows: 1, cells: { look: { weight: 700 } } },
        borders: NEW_BORDERS,
      };
    default: {
      const { proportions: [wide, high] = [1, 1], first, isDrawnAsLine } = formKind(what);
      const drawn = isDrawnAsLine ? { fill: null, stroke: { paint: BLACK, widthPt: 1 } } : { fill: GREY };
      return { kind: 'shape', placement: place(size * wide, size * high), shape: { form: what, ...first }, ...drawn };
    }
  }
}

/** The element again under an id of its own. A copied frame takes up no other’s text. */
export const copyOf = (e: Element): Element => ({ ...e, id: freshId(), ...(e.kind === 'text' && { after: null }) });

/** Copies of elements a little further down, held by the same boxes and the same facts, with ids of their own. */
export function duplicates(job: Job, side: SideName, ids: readonly string[], boxes: SurfaceBoxes): readonly Element[] {
  return elementsOn(pieceOf(job), side)
    .filter((e) => ids.includes(e.id))
    .map((e): Element => {
      const rect = boxes.placed[e.id];
      const copy = copyOf(e);
      if (!rect) return copy;
      const { x, y, width, height } = rect;
      return { ...copy, placement: moveTo(e.placement, { x: x + 5, y: y + 5, width, height }, boxes, rect) };
    });
}
