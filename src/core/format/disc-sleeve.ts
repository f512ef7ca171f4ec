import { defineFormat } from './format';
import { creaseParameter } from './folded-sheet';
import { length, size } from './parameter';
import { sides } from './sides';
import { wrapPlan } from './wrap-plan';

export const discSleeve = defineFormat({
  kind: 'disc-sleeve',
  title: 'Disc sleeve',
  about: 'A wrap for a case that holds a disc: back, spine, front.',
  group: 'wrap',
  parameters: {
    panel: size('Panel', ['130 x 184 mm', '130 x 184 mm'], 'Front and back; width x height.'),
    spine: length('Spine', ['13 mm', '13 mm'], 'Between back and front.', { most: 300 }),
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
