import { defineFormat } from './format';
import { creaseParameter, isScored } from './folded-sheet';
import { panelRow } from './panel-row';
import { length, size } from '../parameter';
import { wrapPlan } from './wrap-plan';

export const caseInsert = defineFormat({
  kind: 'case-insert',
  title: 'Case insert and tray card',
  about: 'For a hinged case: a folded insert in the lid, and a tray card with two side spines below the disc.',
  group: 'wrap',
  parameters: {
    panel: size('Insert page', '120 x 120 mm', 'Each page of the insert in the lid.'),
    tray: size('Tray card', '137.5 x 118 mm', 'Between its two spines (from memory).'),
    spine: length('Side spines', '6.5 mm', 'One at each side of the tray card (from memory).', { least: 2, most: 60 }),
    crease: creaseParameter,
  },
  plan: (d, context) => {
    const insert = wrapPlan(
      [
        { name: 'back', width: d.panel.width },
        { name: 'front', width: d.panel.width, turn: 180 },
      ],
      d.panel.height,
      d.panel,
      d.crease,
      context,
      { fixed: 1 },
    );
    const process = isScored(d.crease, context) ? 'score' : 'fold';
    const tray = panelRow(
      [
        { name: 'left spine', width: d.spine },
        { name: 'back of the case', width: d.tray.width },
        { name: 'right spine', width: d.spine },
      ],
      d.tray.height,
      process,
      context,
      { fixed: 1 },
    );
    return {
      ...insert,
      surfaces: [
        ...insert.surfaces,
        {
          name: 'tray card',
          size: { width: tray.width, height: d.tray.height },
          panels: tray.panels.map((p) => ({ ...p, ...(p.name === 'left spine' && { turned: true as const }) })),
          processLines: tray.creases,
        },
      ],
      figures: [
        ...(insert.figures ?? []),
        {
          ...tray.figure,
          id: 'tray',
          name: 'Tray card',
          measured: {
            kind: 'stops',
            axis: 'x',
            stops: [0, d.spine, d.spine + d.tray.width, tray.width],
            surface: 'tray card',
          },
        },
      ],
    };
  },
});
