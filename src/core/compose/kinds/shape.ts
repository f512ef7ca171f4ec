import type { ShapeElement } from '../../element';
import { composeShape } from '../shape';
import { defineComposedKind, plain } from './define';

export const shape = defineComposedKind<ShapeElement>({ ...plain, compose: composeShape });
