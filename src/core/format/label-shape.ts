import { ellipsePath, rectPath, type Path, type Rect } from '../layout';
import { choice, length } from '../parameter';

export const shapeParameter = choice('Shape', 'rounded', 'Of the die.', {
  rectangle: 'rectangle',
  rounded: 'rounded rectangle',
  round: 'round',
  oval: 'oval',
});
export type LabelShape = 'rectangle' | 'rounded' | 'round' | 'oval';

export const cornerParameter = length('Corner radius', ['2 mm', '1/16 in'], 'Of a rounded rectangle.', {
  most: 100,
  when: (v) => v['shape'] === 'rounded',
});

export const throughParameter = choice('Cut', 'kiss', 'Through the label only, or through the liner too.', {
  kiss: 'kiss-cut',
  through: 'cut through',
});

/** The die of a label in its box; a round one takes the shorter side. */
export function labelOutline(shape: LabelShape, box: Rect, radius: number): Path {
  switch (shape) {
    case 'rectangle':
      return rectPath(box);
    case 'rounded':
      return rectPath(box, radius);
    case 'oval':
      return ellipsePath(box);
    case 'round': {
      const d = Math.min(box.width, box.height);
      return ellipsePath({ x: box.x + (box.width - d) / 2, y: box.y + (box.height - d) / 2, width: d, height: d });
    }
  }
}
