import { createElement } from 'react';
import { sketchShapes, type Sketch } from '@/core/glossary';

interface Props {
  readonly sketch: Sketch;
  /** Size of its words. */
  readonly type?: number;
}

/** The marks of a sketch, within an SVG. */
export const SketchShapes = ({ sketch, type }: Props) =>
  sketchShapes(sketch, type).map(({ tag, attributes, text }, i) => createElement(tag, { key: i, ...attributes }, text));
