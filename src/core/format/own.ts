import { LRUCache } from 'lru-cache';
import { rectPath } from '../layout';
import { defineFormat } from './format';
import { openEnd, readOutline, toCorner } from './outline-text';
import { LINES_HELP, placeLines, placesOf, readLines, writeLines } from './own-lines';
import { Impossible, ok, size, text, wrong } from '../parameter';
import { frontAndBack, shaped, sides } from './sides';

/** Shapes by their text: each change of a job asks for its own again, and its bleed is worked out once. */
const shapes = new LRUCache<string, ReturnType<typeof toCorner>>({ max: 16 });

/** @throws Impossible where the text is no closed outline with an area */
function shapeOf(text: string): ReturnType<typeof toCorner> {
  const known = shapes.get(text);
  if (known) return known;
  const drawn = readOutline(text);
  if ('problem' in drawn) throw new Impossible('outline', drawn.problem);
  const open = openEnd(drawn.path);
  if (open) throw new Impossible('outline', open);
  const shape = toCorner(drawn.path);
  if (shape.width < 1 || shape.height < 1) throw new Impossible('outline', 'The outline has no area.');
  shapes.set(text, shape);
  return shape;
}

export const own = defineFormat({
  kind: 'own',
  title: 'Own format',
  about: 'Any outline, drawn or brought in as SVG or DXF, with lines wherever they are wanted.',
  group: 'own',
  parameters: {
    size: size('Finished size', ['A5', 'half letter'], 'Of a plain rectangle; an outline of its own has its own size.'),
    sides: sides('2'),
    outline: text(
      'Outline',
      '',
      'Path data in millimetres (M 0 0 L 80 0 A 40 40 0 0 1 0 0 Z), or an SVG or DXF file; empty for a rectangle.',
      (typed) => {
        if (typed.trim() === '') return ok('');
        const read = readOutline(typed);
        if ('problem' in read) return wrong(typed, read.problem);
        const open = openEnd(read.path);
        return open ? wrong(typed, open) : ok(typed.trim());
      },
    ),
    lines: text('Process lines', '', LINES_HELP, (typed, context) => {
      const read = readLines(typed, context);
      return 'error' in read ? { ok: false, error: read.error } : ok(writeLines(read.lines));
    }),
  },
  plan: (d, { write }) => {
    const shape = d.outline === '' ? undefined : shapeOf(d.outline);
    const flat = shape ? { width: shape.width, height: shape.height } : d.size;
    const outline = shape?.path ?? rectPath({ x: 0, y: 0, ...flat });
    const read = readLines(d.lines, { unit: 'mm', ppi: 300 });
    if ('error' in read) throw new Impossible('lines', read.error.message);
    const outside = read.lines
      .flatMap(({ saying }) => placesOf(saying, flat))
      .find(({ axis, at }) => at <= 0 || at >= (axis === 'x' ? flat.width : flat.height));
    if (outside) {
      const most = outside.axis === 'x' ? flat.width : flat.height;
      throw new Impossible(
        'lines',
        `A line at ${write(outside.at)} lies outside the piece: between 0 and ${write(most)}.`,
      );
    }
    const lines = placeLines(read.lines, flat, outline);
    return {
      finished: flat,
      surfaces: frontAndBack(flat, d.sides, {
        ...(shape && { outline }),
        processLines: [...(shape ? [shaped('cut', outline)] : []), ...lines],
      }),
    };
  },
});
