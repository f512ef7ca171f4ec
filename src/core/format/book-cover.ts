import { defineFormat } from './format';
import { creaseParameter } from './folded-sheet';
import { length, size } from '../parameter';
import { upright } from './sides';
import { wrapPlan } from './wrap-plan';

export const bookCover = defineFormat({
  kind: 'book-cover',
  title: 'Book cover or jacket',
  about: 'Back, spine and front, with hinge scores and flaps to turn in.',
  group: 'wrap',
  parameters: {
    size: size('Page size', ['170 x 240 mm', '6 x 9 in'], 'Trimmed page; width x height.'),
    spine: length('Spine', ['12 mm', '1/2 in'], 'Leaves × thickness; the binder says.', { most: 200 }),
    hinge: length('Hinge', '6 mm', 'Score beside the spine where the cover opens; 0 for none.', { most: 20 }),
    flaps: length('Flaps', '0 mm', 'Turned in at each side; 0 for none.', { most: 400 }),
    crease: creaseParameter,
  },
  plan: (d, context) => {
    const { width, height } = d.size;
    const spineFrom = d.flaps + width;
    const hinges = d.hinge > 0 ? [spineFrom - d.hinge, spineFrom + d.spine + d.hinge] : [];
    return wrapPlan(
      [
        { name: 'back flap', width: d.flaps },
        { name: 'back', width, turn: 180 },
        { name: 'spine', width: d.spine },
        { name: 'front', width },
        { name: 'front flap', width: d.flaps, turn: 180 },
      ],
      height,
      d.size,
      d.crease,
      context,
      { fixed: d.flaps > 0 ? 2 : 1, extra: { processLines: hinges.map((x) => upright('score', x, height)) } },
    );
  },
});
