import type { Mm } from '../measure';

export interface Box {
  readonly width: Mm;
  readonly height: Mm;
}
