import type { LineElement } from '../../element';
import { composeLine } from '../shape';
import { defineComposedKind, plain } from './define';

export const line = defineComposedKind<LineElement>({ ...plain, compose: composeLine });
