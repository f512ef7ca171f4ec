import { formKind, mirroredForm } from '../../forms';
import type { ChangePaint, Paint } from '../../paint';
import { repaintStroke } from '../../stroke';
import { asItIs, defineElementKind, none, wordless } from '../define';
import type { ShapeElement } from './schema';

export const shape = defineElementKind<ShapeElement>({
  ...wordless,
  title: ({ shape: { form } }) => formKind(form).label,
  content: 'filling',
  bleeds: ({ atTrim }) => atTrim === 'bleeds',
  file: none,
  repaint: (element, _, change) => ({
    ...element,
    fill: element.fill && repaintArea(element.fill, change),
    stroke: element.stroke && repaintStroke(element.stroke, change),
  }),
  onLeftPage: asItIs,
  flipped: (element) => ({ ...element, shape: mirroredForm(element.shape) }),
  difference: none,
});

const repaintArea = (paint: Paint, change: ChangePaint): Paint =>
  paint.kind === 'gradient'
    ? { ...paint, stops: paint.stops.map((stop) => ({ ...stop, paint: change(stop.paint) })) }
    : change(paint);
