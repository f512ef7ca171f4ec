'use client';
import { GridMargins } from '../field/GridMargins';
import { HeldLengthField } from '../field/LengthField';
import { NumberField } from '../field/NumberField';
import { useDesk } from '../open-job/use-desk';
import { Group } from '../slip/Slip';
import { useResize } from './use-resize';

/** The columns and rows that a side is divided into, in the safe area or within margins of their own. */
export function GridFields() {
  const { piece, job, rules } = useDesk();
  const resize = useResize();
  const context = { unit: job.unit, ppi: rules.ppi.value };
  const { grid } = piece;
  return (
    <Group title={grid.margins ? 'Grid in the trim' : 'Grid in the safe area'} term="grid">
      {(
        [
          ['columns', 'gutter'],
          ['rows', 'rowGutter'],
        ] as const
      ).map(([tracks, gap]) => [
        <NumberField
          key={tracks}
          label={tracks}
          value={grid[tracks]}
          least={1}
          most={100}
          whole
          width={64}
          onChange={(count) =>
            resize.setAll(`Change ${tracks}`, (p) => ({ ...p, grid: { ...p.grid, [tracks]: count } }))
          }
        />,
        <HeldLengthField
          key={gap}
          {...context}
          label={gap === 'gutter' ? 'gutter' : 'row gutter'}
          value={grid[gap]}
          width={84}
          onChange={(mm) => resize.setAll(`Change ${gap}`, (p) => ({ ...p, grid: { ...p.grid, [gap]: mm } }))}
        />,
      ])}
      <GridMargins
        {...context}
        name="grid"
        margins={grid.margins}
        facing={grid.facing}
        onChange={(to) => resize.setAll('Change grid margins', (p) => ({ ...p, grid: { ...p.grid, ...to } }))}
      />
    </Group>
  );
}
