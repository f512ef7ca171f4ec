import { defineFormat } from './format';
import { creaseParameter } from './folded-sheet';
import { length, size } from './parameter';
import { sides } from './sides';
import { wrapPlan } from './wrap-plan';

export const wrap = defineFormat({
  kind: 'wrap',
  title: 'Wrap with a spine',
  about: 'Back, spine and front in one piece, read from the outside.',
  group: 'wrap',
  parameters: {
    panel: size('Panel', ['130 x 184 mm', '5.125 x 7.25 in'], 'Front and back; width x height.'),
    spine: length('Spine', ['13 mm', '1/2 in'], 'Between back and front.', { most: 300 }),
    sides: sides('1'),
    crease: creaseParameter,
  },
  plan: (d, context) =>
    wrapPlan(
      [
        { name: 'back', width: d.panel.width },
        { name: 'spine', width: d.spine },
        { name: 'front', width: d.panel.width },
      ],
      d.panel.height,
      { width: d.panel.width, height: d.panel.height },
      d.crease,
      context,
      { inside: d.sides === 2, fixed: 1 },
    ),
});
