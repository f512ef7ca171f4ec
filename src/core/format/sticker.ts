import {
  around,
  ellipsePath,
  mapPath,
  offsetPath,
  pathBounds,
  polygonPath,
  rectPath,
  shiftPath,
  type Path,
  type Point,
} from '../layout';
import type { Size } from '../paper';
import { defineFormat } from './format';
import { throughParameter } from './label-shape';
import { choice, length, size } from '../parameter';
import { shaped } from './sides';

export const sticker = defineFormat({
  kind: 'sticker',
  title: 'Sticker',
  about: 'A shape with a white border around it: the die follows at a distance.',
  group: 'die-cut',
  usual: { bleed: 2, safe: 2, why: 'stickers are small; 2 mm around the die' },
  parameters: {
    size: size('Shape', ['60 x 60 mm', '2.5 x 2.5 in'], 'Of the printed shape, without its border.'),
    shape: choice('Outline', 'round', 'Of the printed shape.', {
      round: 'round or oval',
      rectangle: 'rectangle',
      star: 'star',
      crescent: 'crescent moon',
    }),
    border: length('Border', ['2 mm', '1/16 in'], 'From the shape to the die; 0 cuts on the shape.', { most: 30 }),
    cut: throughParameter,
  },
  plan: (d) => {
    const die = dieOf(d.shape, d.size, d.border);
    const box = pathBounds(die);
    const outline = shiftPath(die, -box.x, -box.y);
    const all = { width: box.width, height: box.height };
    return {
      finished: all,
      surfaces: [
        {
          name: 'front',
          size: all,
          outline,
          panels: [{ name: 'shape', x: -box.x, y: -box.y, ...d.size }],
          processLines: [shaped(d.cut === 'kiss' ? 'kiss-cut' : 'cut', outline)],
        },
      ],
    };
  },
});

/** Five points that fill a box of one by one. */
const STAR = ((): readonly Point[] => {
  const points = Array.from({ length: 10 }, (_, i) => {
    const angle = ((i * 36 - 90) * Math.PI) / 180;
    const r = i % 2 === 0 ? 1 : 0.44;
    return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
  });
  const box = around(points);
  return points.map((p) => ({ x: (p.x - box.x) / box.width, y: (p.y - box.y) / box.height }));
})();

/** At the border’s distance around the shape; circles and rectangles exactly. */
function dieOf(shape: keyof typeof OUTLINES, size: Size, border: number): Path {
  const around = { x: -border, y: -border, width: size.width + 2 * border, height: size.height + 2 * border };
  if (shape === 'round' && size.width === size.height) return ellipsePath(around);
  if (shape === 'rectangle') return rectPath(around, border);
  // Arcs around corners are chords of a few µm: stretched, the die is as large as the shape and its border to the last
  // digit.
  const all = { width: size.width + 2 * border, height: size.height + 2 * border };
  return shiftPath(filling(offsetPath(filling(OUTLINES[shape](size), size), border), all), -border, -border);
}

/** The outline stretched so that it fills its box: the handles of a curve reach further than the curve. */
function filling(path: Path, size: Size): Path {
  const box = pathBounds(path);
  const [kx, ky] = [size.width / box.width, size.height / box.height];
  return mapPath(path, [kx, 0, 0, ky, -box.x * kx, -box.y * ky]);
}

const OUTLINES: Readonly<Record<'round' | 'rectangle' | 'star' | 'crescent', (size: Size) => Path>> = {
  round: (s) => ellipsePath({ x: 0, y: 0, ...s }),
  rectangle: (s) => rectPath({ x: 0, y: 0, ...s }),
  star: (size) => polygonPath(STAR.map(({ x, y }) => ({ x: x * size.width, y: y * size.height }))),
  // The left limb is half a circle; the terminator a flatter curve through the same horns.
  crescent: ({ width: w, height: h }) => [
    ['M', w, h * 0.02],
    ['C', w * 0.72, -h * 0.01, 0, h * 0.08, 0, h * 0.5],
    ['C', 0, h * 0.92, w * 0.72, h * 1.01, w, h * 0.98],
    ['C', w * 0.68, h * 0.84, w * 0.5, h * 0.68, w * 0.5, h * 0.5],
    ['C', w * 0.5, h * 0.32, w * 0.68, h * 0.16, w, h * 0.02],
    ['Z'],
  ],
};
