import { z } from 'zod';
import { Form } from '../../forms';
import { Paint } from '../../paint';
import { Stroke } from '../../stroke';
import { AtTrim, common } from '../common';

/** An outline that is filled, drawn along, or both. */
export const Shape = z.strictObject({
  kind: z.literal('shape'),
  ...common,
  atTrim: AtTrim.default('bleeds'),
  shape: Form,
  fill: Paint.nullable(),
  stroke: Stroke.nullable().default(null),
});
export type ShapeElement = z.infer<typeof Shape>;
