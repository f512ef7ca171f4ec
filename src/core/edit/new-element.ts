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
import {
  boxRect,
  freePlace,
  insets,
  landed,
  landedSmaller,
  landingOnBare,
  moveTo,
  placed,
  type Landing,
  type Rect,
  type SurfaceBoxes,
} from '../layout';
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

/** Side of a new code, mm: a telephone reads it from an arm’s length [cp]. */
const CODE = 25;

/** How high a new text, and about how high a new table is, mm. */
const [TEXT, TABLE] = [12, 24];

/**
 * A new element, plain, about as large as a hand would draw it, where there is room for it.
 * @param style the paragraph style of a text, where it is not to be plain
 */
export function newElement(
  what: Addable,
  boxes: SurfaceBoxes,
  landing: Landing = landingOnBare(boxes),
  style: string | null = null,
): Element {
  const { room, against } = landing;
  const box = boxRect(against, boxes);
  const size = Math.min(room.width, room.height) / 3;
  const places: Places = {
    sized: (width, height) => placed(landedSmaller(landing, { width, height }), against, boxes),
    across: (height, held) => {
      const eye = { ...landing.eye, x: room.x + room.width / 2 };
      const whole = { width: room.width, height };
      const rect = freePlace({ ...landing, eye }, whole) ?? columnPlace(landing, height) ?? landed(landing, whole);
      const { left, right } = insets(rect, box);
      return { against, x: { start: left, end: right }, y: { start: rect.y - box.y, size: held ?? height } };
    },
  };
  return Element.parse({ id: freshId(), ...inputFor(what, places, size, style) });
}

/** Half or a third as wide as the room, where nothing fits that goes from side to side. */
const columnPlace = (landing: Landing, height: number): Rect | undefined =>
  freePlace(landing, { width: landing.room.width / 2, height }) ??
  freePlace(landing, { width: landing.room.width / 3, height });

/** What is as large as it is, and what goes from side to side. */
interface Places {
  readonly sized: (width: number, height: number) => ElementInput['placement'];
  readonly across: (height: number, held?: 'content') => ElementInput['placement'];
}

function inputFor(what: Addable, { sized, across }: Places, size: number, style: string | null): object {
  switch (what) {
    case 'line':
      return { kind: 'line', placement: sized(size * 1.5, 0), stroke: { paint: BLACK, widthPt: 0.5 } };
    case 'code':
      return { kind: 'code', placement: sized(CODE, CODE), symbology: 'qr', content: 'https://example.org' };
    case 'picture':
      return { kind: 'picture', placement: sized(size * 1.5, size), picture: null };
    case 'text':
      return { kind: 'text', placement: across(TEXT), style, look: style === null ? { sizePt: 12 } : {} };
    case 'table':
      return {
        kind: 'table',
        placement: across(TABLE, 'content'),
        ...tableOfWords(NEW_TABLE),
        header: { rows: 1, cells: { look: { weight: 700 } } },
        borders: NEW_BORDERS,
      };
    default: {
      const { proportions: [wide, high] = [1, 1], first, isDrawnAsLine } = formKind(what);
      const drawn = isDrawnAsLine ? { fill: null, stroke: { paint: BLACK, widthPt: 1 } } : { fill: GREY };
      return { kind: 'shape', placement: sized(size * wide, size * high), shape: { form: what, ...first }, ...drawn };
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
