import { z } from 'zod';
import { ellipsePath } from '../../geometry';
import { defineForm } from './define';

export const ellipse = defineForm({
  schema: z.strictObject({ form: z.literal('ellipse') }),
  label: 'Oval',
  words: 'an oval',
  key: 'O',
  fields: [],
  outline: (_form, box) => ellipsePath(box),
});
