import type { Ink, Item } from '../drawing';
import type { BlankSurface, ProcessLine } from '../format';
import { IDENTITY, edges, grow, type Path, type Rect } from '../layout';
import { ptToMm } from '../measure';
import { DASHES, COMMON_CODES } from '../shop';
import { noteItems, type Face } from '../type';
import { pathOf } from './process-layers';

const BLACK: Ink = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: true };
const GREY: Ink = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 45 }, overprint: true };

/** Room around a dummy for its notes, mm. */
const RIM = 14;
const CAUTION =
  'Cut along the solid outline: a fresh blade along a metal rule, on a mat, away from the hand. A guillotine ' +
  'is for trained people.';

export interface DummyPage {
  readonly sheet: Rect;
  readonly items: readonly Item[];
}

/** One face of a folding dummy at true size: outline, creases with their direction, names of the panels. */
export function dummyPage(surface: BlankSurface, title: string, steps: readonly string[], face: Face): DummyPage {
  const { trim } = surface.boxes;
  const items: Item[] = [
    stroke('outline', surface.outline, [], 0.5, BLACK),
    ...surface.processLines.map((line) =>
      stroke(
        line.process,
        pathOf(line),
        DASHES[COMMON_CODES[line.process].form],
        0.5,
        line.process === 'cut' ? BLACK : GREY,
      ),
    ),
    ...surface.panels.flatMap((p) => {
      const sizePt = Math.max(5, Math.min(16, p.width * 0.3, p.height * 0.5));
      return noteItems(
        {
          text: p.name,
          sizePt,
          at: { x: p.x + 1, y: p.y + p.height / 2 - ptToMm(sizePt) * 0.6 },
          width: Math.max(5, p.width - 2),
          align: 'centre',
          ink: BLACK,
          from: 'panel',
          ...(p.turned && { turn: 180 }),
        },
        face,
      ).items;
    }),
    ...surface.processLines.flatMap((line) => direction(line, face)),
    ...noteItems(
      {
        text: `${title}, ${surface.name}, 1:1`,
        sizePt: 8,
        at: { x: trim.x, y: trim.y - RIM + 2 },
        width: Math.max(60, trim.width),
        ink: BLACK,
        from: 'title',
      },
      face,
    ).items,
    ...noteItems(
      {
        text: [...steps.map((s, i) => `${i + 1}. ${s}.`), CAUTION].join('  '),
        sizePt: 7,
        at: { x: trim.x, y: trim.y + trim.height + 3 },
        width: Math.max(60, trim.width),
        ink: BLACK,
        from: 'steps',
      },
      face,
    ).items,
  ];
  // The notes at the foot take as many lines as a narrow piece makes of them.
  const foot = noteItems(
    {
      text: [...steps, CAUTION].join('      '),
      sizePt: 7,
      at: { x: 0, y: 0 },
      width: Math.max(60, trim.width),
      ink: BLACK,
      from: 'steps',
    },
    face,
  ).height;
  const wide = Math.max(0, 60 - trim.width);
  return { sheet: grow(trim, { ...edges(RIM), right: RIM + wide, bottom: RIM + foot }), items };
}

function stroke(from: string, path: Path, dash: readonly number[], pt: number, ink: Ink): Item {
  return {
    kind: 'path',
    from,
    opacity: 1,
    matrix: IDENTITY,
    path,
    fill: null,
    stroke: { ink, width: ptToMm(pt), dash, cap: 'butt' },
  };
}

/** Beside each crease which way it is folded, as the viewer of this face sees it. */
function direction(line: ProcessLine, face: Face): readonly Item[] {
  if (!line.direction || line.path) return [];
  const upright = Math.abs(line.from.x - line.to.x) < 0.01;
  const [x, y] = [(line.from.x + line.to.x) / 2, line.from.y + (line.to.y - line.from.y) * 0.2];
  const text = line.direction === 'up' ? 'fold toward you' : 'fold away from you';
  const at = upright ? { x: x - 13.5, y: y - 4 } : { x: x - 16, y: line.from.y - 3.4 };
  return noteItems(
    { text, sizePt: 6, at, width: 32, align: 'centre', ink: GREY, from: 'direction', ...(upright && { turn: -90 }) },
    face,
  ).items;
}
