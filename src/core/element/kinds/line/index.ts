import { repaintStroke } from '../../stroke';
import { defineElementKind, none, wordless } from '../define';
import type { LineElement } from './schema';

const mirrored = (line: LineElement): LineElement => ({ ...line, slope: line.slope === 'down' ? 'up' : 'down' });

export const line = defineElementKind<LineElement>({
  ...wordless,
  title: () => 'Line',
  content: 'filling',
  bleeds: () => true,
  file: none,
  repaint: (element, _, change) => ({ ...element, stroke: repaintStroke(element.stroke, change) }),
  onLeftPage: mirrored,
  flipped: mirrored,
  difference: none,
});
