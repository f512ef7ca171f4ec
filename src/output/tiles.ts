import { SLUG_FACE } from '../core/compose';
import { itemsWithin, linePath, rectPath, type Item, type Path } from '../core/drawing';
import { tiling, type Tile, type Tiling } from '../core/impose';
import { usualDesk } from '../core/job';
import { IDENTITY, translation, type Matrix, type Rect } from '../core/layout';
import { counted, formatLength, formatSize, ptToMm, type Mm } from '../core/measure';
import { noteItems, type Face } from '../core/type';
import type { Form, PdfPage } from '../paint/pdf';
import { CannotExport } from './cannot-export';
import type { Desk, DeskSide } from './desk';
import { deskPdf } from './desk-pdf';
import type { OutputFile, Progress } from './file';

const INK = { kind: 'process', build: { c: 0, m: 0, y: 0, k: 100 }, overprint: false } as const;
/** Weight of lines to cut along, and size of the names of tiles, pt. */
const [LINE_PT, NAME_PT, WORDS_PT] = [0.25, 6, 10];

/** A large piece on the sheets of a desk printer, to be cut and glued together; a plan of them first. */
export const tilesFile = (desk: Desk, at: Date, progress: Progress): Promise<OutputFile> =>
  deskPdf(desk, at, progress, { what: 'tiles', pages: () => desk.sides.flatMap((side) => sidePages(desk, side)) });

function sidePages({ job, fonts }: Desk, side: DeskSide): readonly PdfPage[] {
  const { surface, drawing } = side;
  const { sheet, edge, overlap } = job.output.desk ?? usualDesk(job);
  const made = tiling({ whole: surface.boxes.trim, sheet, rim: edge, overlap });
  if (!made.ok) throw new CannotExport(made.message);
  const form: Form = {
    parts: [{ items: itemsWithin(drawing, surface.boxes.trim) }],
    region: surface.boxes.bleed,
  };
  const face = fonts.set.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  const write = (mm: Mm) => formatLength(mm, job.unit);
  const words = planWords(made.tiling, { overlap: write(overlap), size: formatSize(surface.boxes.trim, job.unit) });
  return [
    planPage(made.tiling, form, side, { face, words, rim: edge }),
    ...made.tiling.tiles.map((tile) => tilePage(made.tiling, tile, form, { face, overlap, side: surface.name })),
  ];
}

/** What one does with the sheets, in order. */
function planWords({ columns, rows, tiles }: Tiling, { overlap, size }: { overlap: string; size: string }): string {
  return [
    `${size} on ${counted(tiles.length, 'sheet')}: ${columns} across, ${rows} down. Print at 100 %, not fitted to ` +
      'the page.',
    `Sheets share ${overlap}. Cut the left and the top edge of each away along its lines; outer edges have none.`,
    'Glue row by row: each sheet onto the strip of the one to its left. Then glue the rows onto each other.',
    'Cut with a fresh blade along a metal rule, on a mat, away from the hand.',
  ].join('\n');
}

const whole = ({ sheet }: Tiling): Rect => ({ x: 0, y: 0, ...sheet });

const stroked = (path: Path, dash: readonly Mm[]): Item => ({
  kind: 'path',
  from: 'tile',
  opacity: 1,
  matrix: IDENTITY,
  path,
  fill: null,
  stroke: { ink: INK, width: ptToMm(LINE_PT), dash, cap: 'butt' },
});

/** The piece small, with the names of its sheets, and what to do with them. */
function planPage(
  tiled: Tiling,
  form: Form,
  { surface }: DeskSide,
  { face, words, rim }: { face: Face | undefined; words: string; rim: Mm },
): PdfPage {
  const sheet = whole(tiled);
  const room = { width: sheet.width - 4 * rim - 10, height: (sheet.height - 4 * rim) * 0.7 };
  const { trim } = surface.boxes;
  const scale = Math.min(room.width / trim.width, room.height / trim.height);
  const at = { x: (sheet.width - trim.width * scale) / 2, y: 2 * rim };
  const map: Matrix = [scale, 0, 0, scale, at.x - trim.x * scale, at.y - trim.y * scale];
  const small = ({ x, y, width, height }: Rect): Rect => ({
    x: map[0] * x + map[4],
    y: map[3] * y + map[5],
    width: width * scale,
    height: height * scale,
  });
  const names = tiled.tiles.flatMap(({ name, shows }) => {
    const { x, y } = small(shows);
    return face
      ? noteItems({ text: name, sizePt: WORDS_PT, at: { x: x + 1, y: y + 1 }, width: 30, ink: INK, from: name }, face)
          .items
      : [];
  });
  const text = face
    ? noteItems(
        {
          text: words,
          sizePt: WORDS_PT,
          at: { x: 2 * rim + 5, y: at.y + trim.height * scale + 8 },
          width: room.width,
          ink: INK,
          from: 'plan',
        },
        face,
      ).items
    : [];
  return {
    parts: [
      { placed: [{ form, matrix: map, clip: small(trim) }] },
      {
        items: [
          stroked(
            tiled.tiles.flatMap(({ shows }) => rectPath(small(shows))),
            [],
          ),
          ...names,
          ...text,
        ],
      },
    ],
    trim: sheet,
    bleed: sheet,
    sheet,
    label: `${surface.name}, plan`,
  };
}

/** One sheet: what it shows, where it is cut, and what is glued onto it. */
function tilePage(
  tiled: Tiling,
  tile: Tile,
  form: Form,
  { face, overlap, side }: { face: Face | undefined; overlap: Mm; side: string },
): PdfPage {
  const sheet = whole(tiled);
  const { shows, at, name, column, row, glued } = tile;
  const clip = { ...at, width: shows.width, height: shows.height };
  const [right, bottom] = [at.x + shows.width, at.y + shows.height];
  const cuts = [
    // What lies on the neighbour is cut away here.
    ...(column > 0 ? linePath({ x: at.x + overlap, y: at.y }, { x: at.x + overlap, y: bottom }) : []),
    ...(row > 0 ? linePath({ x: at.x, y: at.y + overlap }, { x: right, y: at.y + overlap }) : []),
  ];
  const edges = [
    ...(glued.right ? linePath({ x: right - overlap, y: at.y }, { x: right - overlap, y: bottom }) : []),
    ...(glued.bottom ? linePath({ x: at.x, y: bottom - overlap }, { x: right, y: bottom - overlap }) : []),
  ];
  const label = face
    ? noteItems(
        {
          text: `${name} · ${side}`,
          sizePt: NAME_PT,
          at: { x: at.x + 1, y: bottom - 4 },
          width: 60,
          ink: INK,
          from: name,
        },
        face,
      ).items
    : [];
  return {
    parts: [
      { placed: [{ form, matrix: translation(at.x - shows.x, at.y - shows.y), clip }] },
      {
        items: [
          ...(cuts.length > 0 ? [stroked(cuts, [])] : []),
          ...(edges.length > 0 ? [stroked(edges, [2, 2])] : []),
          ...label,
        ],
      },
    ],
    trim: sheet,
    bleed: sheet,
    sheet,
    label: `${side}, ${name}`,
  };
}
