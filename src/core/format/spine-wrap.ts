import { defineFormat, type Format } from './format';
import { creaseParameter } from './folded-sheet';
import { length, size } from '../parameter';
import { sides } from './sides';
import { wrapPlan } from './wrap-plan';

/** A kind of wrap that is a back, a spine and a front in one piece, read from the outside. */
export const spineWrap = (
  about: Pick<Format, 'kind' | 'title' | 'about'>,
  panel: readonly [string, string],
  spine: readonly [string, string],
): Format =>
  defineFormat({
    ...about,
    group: 'wrap',
    parameters: {
      panel: size('Panel', panel, 'Front and back; width x height.'),
      spine: length('Spine', spine, 'Between back and front.', { most: 300 }),
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
