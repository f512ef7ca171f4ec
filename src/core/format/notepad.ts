import { defineFormat } from './format';
import { choice, count, length, size } from '../parameter';
import { frontAndBack, level, sides, upright, zone } from './sides';

export const notepad = defineFormat({
  kind: 'notepad',
  title: 'Note pad',
  about: 'Sheets glued at one edge on a board.',
  group: 'flat',
  parameters: {
    size: size('Finished size', ['A5', 'half letter'], 'Width x height, or a paper name.'),
    sides: sides('1'),
    sheets: count('Sheets', '50', 'In a pad.', 10, 200),
    glue: choice('Glued edge', 'head', 'Where the sheets tear off.', { head: 'at the head', left: 'at the left' }),
    board: length('Backing board', '0.6 mm', 'Thickness of the board below.', { most: 5 }),
  },
  plan: (d, { rules, write }) => {
    const { width, height } = d.size;
    const head = d.glue === 'head';
    const rim = { x: 0, y: 0, width: head ? width : 5, height: head ? 5 : height };
    const leaf = rules.thickness.value;
    const thick = d.sheets * leaf + d.board;
    return {
      finished: d.size,
      surfaces: frontAndBack(d.size, d.sides, {
        processLines: [head ? level('glue', 0, width) : upright('glue', 0, height)],
        zones: [zone('keep-clear', 'glued edge', rim, 'Glue creeps up to 5 mm into the sheet and hides there.')],
      }),
      figures: [
        {
          id: 'thickness',
          group: 'size',
          name: 'Pad thickness',
          value: thick,
          unit: 'mm',
          working: [`${d.sheets} × ${write(leaf)} + ${write(d.board)} board = ${write(thick)}`],
          rule: rules.thickness.rule,
        },
      ],
    };
  },
});
