import type { ElementOf } from '../../element';
import { CODE_FACE, composeCode, sizeOfCode } from '../code';
import { USUAL_LOOK } from '../../element';
import { defineComposedKind, plain } from './define';

export const code = defineComposedKind<ElementOf<'code'>>({
  ...plain,
  compose: composeCode,
  size: sizeOfCode,
  looks: ({ words }) => (words ? [{ ...USUAL_LOOK, ...CODE_FACE }] : []),
});
