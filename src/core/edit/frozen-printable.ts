import {
  BOLD,
  TRACED_WIDTH,
  faceOfWords,
  frameOfLine,
  composeContextOf,
  shapedWords,
  solvePrintable,
  turnsOf,
} from '../compose';
import {
  Element,
  elementsOn,
  withSide,
  type ElementInput,
  type Job,
  type PrintableElement,
  type SolidPaint,
  withPiece,
} from '../job';
import {
  apply,
  mapPath,
  multiply,
  pathBounds,
  pathText,
  placed,
  pose,
  rotation,
  translation,
  type Matrix,
  type Path,
  type Rect,
} from '../layout';
import { mmToPt } from '../measure';
import type { LineStyle, Mark, Role, Words } from '../printable';
import type { Face } from '../type';
import { freshId } from './new-element';
import type { DrawnJob } from './drawn-job';
import { asShares } from '../element';

/** Most segments of one path: an element holds no endless one. */
const MOST = 4_000;

/** A printable as plain lines, shapes and texts, in one group, where its marks stood; it counts no more. */
export function frozenPrintable(
  desk: DrawnJob,
  element: PrintableElement,
): { readonly job: Job; readonly ids: readonly string[] } {
  const { job, piece, surface, drawing, blank, rules, resources } = desk;
  const frame = drawing.frames.find((f) => f.element === element.id);
  const turn = turnsOf(
    piece,
    blank.surfaces.map((s) => s.name),
  )(surface.name);
  const found =
    frame &&
    solvePrintable(element, frame.rect, { ...composeContextOf(job, rules.ppi.value * blank.scale, resources), turn });
  if (!frame || !found?.ok) return { job, ids: [element.id] };
  const group = element.group ?? freshId();
  const matrix = multiply(pose(frame.rect, frame.rotate, frame.shear), translation(frame.rect.x, frame.rect.y));
  const { against } = element.placement;
  const common = { layer: element.layer, opacity: element.opacity, blend: element.blend, group };
  const place = (rect: Rect) => placed(rect, against, drawing.boxes);
  const writing = {
    element,
    language: element.language ?? job.language,
    fonts: resources.fonts,
    turned: frame.rotate,
    matrix,
    place,
  };
  const parts = ordered(found.solved.marks).flatMap((mark): readonly Element[] => {
    const inputs = mark.kind === 'words' ? [wordsInput(mark, writing)] : pathInputs(mark, element, matrix, place);
    return inputs
      .flatMap((input) => (input ? [input] : []))
      .map((input) => Element.parse({ id: freshId(), ...common, ...input }));
  });
  const groups = element.group === null ? [...piece.groups, { id: group, name: frame.name }] : piece.groups;
  const elements = elementsOn(piece, surface.name).flatMap((e) => (e.id === element.id ? parts : [e]));
  return {
    job: withPiece(job, { ...withSide(piece, surface.name, elements), groups }),
    ids: parts.map((p) => p.id),
  };
}

/** As they are painted: areas, lines, words. */
const ordered = (marks: readonly Mark[]): readonly Mark[] =>
  (['shape', 'line', 'words'] as const).flatMap((kind) => marks.filter((m) => m.kind === kind));

const paintOf = ({ inks }: PrintableElement, role: Role): SolidPaint =>
  role === 'paper' ? { kind: 'paper' } : inks[role];

const strokeOf = (element: PrintableElement, { role, weightPt, dash, sparse = 1 }: LineStyle) => ({
  paint: paintOf(element, role),
  widthPt: weightPt,
  dash: dash === 'dotted' && sparse !== 1 ? { onPt: 0.01, offPt: weightPt * 2.6 * sparse } : dash,
  ...(dash === 'dotted' && { cap: 'round' as const }),
});

type Place = (rect: Rect) => NonNullable<ElementInput['placement']>;
type Input = Record<string, unknown>;

/** Level and upright lines are lines; the rest are paths, parted where one would be too long. */
function pathInputs(
  mark: Exclude<Mark, Words>,
  element: PrintableElement,
  matrix: Matrix,
  place: Place,
): readonly Input[] {
  if (mark.kind === 'line') {
    const [a, b] = [apply(matrix, mark.from), apply(matrix, mark.to)];
    const rect = {
      x: Math.min(a.x, b.x),
      y: Math.min(a.y, b.y),
      width: Math.abs(a.x - b.x),
      height: Math.abs(a.y - b.y),
    };
    const slope = (a.x - b.x) * (a.y - b.y) < 0 ? 'up' : 'down';
    return [{ kind: 'line', placement: place(rect), stroke: strokeOf(element, mark.style), slope }];
  }
  return shortened(mapPath(mark.path, matrix)).map((path) => {
    const rect = pathBounds(path);
    return {
      kind: 'shape',
      placement: place(rect),
      shape: { form: 'path', data: pathText(asShares(path, rect)) },
      fill: mark.fill && paintOf(element, mark.fill),
      stroke: mark.stroke && strokeOf(element, mark.stroke),
      atTrim: element.atTrim,
    };
  });
}

/** A path in parts that are no longer than an element may be, broken where an outline begins. */
function shortened(path: Path): readonly Path[] {
  const parts: Path[] = [];
  let open: Path = [];
  for (const [i, segment] of path.entries()) {
    if (segment[0] === 'M' && open.length > 0) {
      const next = path.findIndex((s, n) => n > i && s[0] === 'M');
      const length = (next < 0 ? path.length : next) - i;
      if (open.length + length > MOST) {
        parts.push(open);
        open = [];
      }
    }
    open = [...open, segment];
  }
  return open.length > 0 ? [...parts, open] : parts;
}

interface Writing {
  readonly element: PrintableElement;
  readonly language: string;
  readonly fonts: DrawnJob['resources']['fonts'];
  /** Degrees that the printable is turned by. */
  readonly turned: number;
  readonly matrix: Matrix;
  readonly place: Place;
}

/** Words as a text whose one line stands on the same baseline; to be traced, as the outlines of its letters. */
function wordsInput(mark: Words, { element, language, fonts, turned, matrix, place }: Writing): Input | undefined {
  const { face } = faceOfWords(element, mark.face, mark.bold, { fonts });
  if (!face || mark.text === '') return undefined;
  const frame = frameOfLine(mark, face, language);
  const at = apply(matrix, mark.at);
  const rotate = turned + (mark.turn ?? 0);
  if (mark.form !== 'solid') {
    const path = mapPath(
      outlineOf(mark, face, frame, language),
      multiply(translation(at.x, at.y), rotation(rotate, { x: 0, y: 0 })),
    );
    const rect = pathBounds(path);
    const style: LineStyle = {
      role: mark.role,
      weightPt: mmToPt(mark.size * TRACED_WIDTH),
      dash: mark.form,
      ...(mark.sparse !== undefined && { sparse: mark.sparse }),
    };
    return {
      kind: 'shape',
      placement: place(rect),
      shape: { form: 'path', data: pathText(asShares(path, rect)) },
      fill: null,
      stroke: strokeOf(element, style),
      atTrim: 'stops',
    };
  }
  // A box is turned about its middle: where that comes to lie.
  const middle = apply(rotation(rotate, { x: 0, y: 0 }), {
    x: frame.x + frame.width / 2,
    y: frame.y + frame.height / 2,
  });
  const rect = { ...frame, x: at.x + middle.x - frame.width / 2, y: at.y + middle.y - frame.height / 2 };
  const { family, weight } = element.type[mark.face];
  return {
    kind: 'text',
    placement: { ...place(rect), rotate },
    look: {
      family,
      weight: mark.bold ? Math.max(BOLD, weight) : weight,
      sizePt: mmToPt(mark.size),
      align: mark.align,
      paint: paintOf(element, mark.role),
    },
    paragraphs: [{ runs: [{ text: mark.text }] }],
    language: element.language,
  };
}

function outlineOf(mark: Words, face: Face, { x }: Rect, language: string): Path {
  let at = x;
  return shapedWords(mark.text, face, mark.size, language).flatMap((glyph) => {
    const font = face.files.find((f) => f.key === glyph.font);
    const scale = mark.size / (font?.unitsPerEm ?? 1);
    const path = font ? mapPath(font.outline(glyph.gid), [scale, 0, 0, -scale, at + glyph.dx, -glyph.dy]) : [];
    at += glyph.advance;
    return path;
  });
}
