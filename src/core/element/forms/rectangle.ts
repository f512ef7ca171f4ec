import { z } from 'zod';
import { rectPath } from '../../geometry';
import { Extent, extentOf } from '../length';
import { defineForm } from './define';

const schema = z.strictObject({
  form: z.literal('rectangle'),
  radius: z
    .union([Extent, z.tuple([Extent, Extent, Extent, Extent])])
    .default(0)
    .describe('Corner radius; four are for the corners clockwise from the top left.'),
});

type Rectangle = z.infer<typeof schema>;
type Four = readonly [Extent, Extent, Extent, Extent];

const isFour = (radius: Extent | Four): radius is Four => Array.isArray(radius);

export const rectangle = defineForm({
  schema,
  label: 'Box',
  words: 'a box',
  key: 'X',
  fields: [
    {
      kind: 'corners',
      label: 'corners',
      get: (form) => form.radius,
      put: (form, to): Rectangle => ({ ...form, radius: isFour(to) ? [to[0], to[1], to[2], to[3]] : to }),
    },
  ],
  outline: ({ radius }, box, measures) => {
    if (!isFour(radius)) return rectPath(box, extentOf(radius, measures));
    const [tl, tr, br, bl] = radius;
    return rectPath(box, [
      extentOf(tl, measures),
      extentOf(tr, measures),
      extentOf(br, measures),
      extentOf(bl, measures),
    ]);
  },
  mirrored: (form): Rectangle => {
    if (!isFour(form.radius)) return form;
    const [tl, tr, br, bl] = form.radius;
    return { ...form, radius: [tr, tl, bl, br] };
  },
});
