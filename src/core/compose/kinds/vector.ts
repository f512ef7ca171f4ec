import type { VectorElement } from '../../element';
import { composeVector } from '../vector';
import { defineComposedKind, inProportion, plain } from './define';

export const vector = defineComposedKind<VectorElement>({
  ...plain,
  compose: composeVector,
  size: ({ drawing }, axis, other, { art }) => inProportion(art(drawing), axis, other),
});
