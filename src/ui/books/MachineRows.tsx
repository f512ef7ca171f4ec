'use client';
import Box from '@mui/material/Box';
import {
  FIGURES_OF,
  MACHINES,
  MACHINE_TITLES,
  usualFigures,
  type House,
  type MachineFigures,
  type MachineKind,
} from '@/core/shop';
import { NumberField } from '../field/NumberField';

interface Props {
  readonly house: House;
  readonly onChange: (change: Partial<House>) => void;
}

const FIGURE_WORDS: Readonly<Record<keyof MachineFigures, readonly [label: string, after: string, most: number]>> = {
  drift: ['is off by ±', ' mm', 100],
  turn: ['is turned by ±', '°', 5],
  pile: ['cuts a pile of', ' mm', 300],
  deeper: ['more in 20 mm of pile', ' mm', 5],
};

/** What a printer’s machines are off by: each figure its own, or common practice for how it prints. */
export function MachineRows({ house, onChange }: Props) {
  return (
    <Box
      role="group"
      aria-label="Machines"
      sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: '1.2fr 1fr 1fr', gap: 1, alignItems: 'end' }}
    >
      {MACHINES.filter((kind) => FIGURES_OF[kind].length > 0).map((kind) => {
        const usual = usualFigures(kind, house.press ?? 'offset');
        const own: Partial<Record<keyof MachineFigures, number | undefined>> = house.machines?.[kind] ?? {};
        return [
          <Box key={kind} sx={{ fontSize: 14, pb: 0.75, gridColumn: 1 }}>
            {MACHINE_TITLES[kind]}
          </Box>,
          ...FIGURES_OF[kind].map((figure) => {
            const [label, after, most] = FIGURE_WORDS[figure];
            return (
              <NumberField
                key={`${kind}-${figure}`}
                label={label}
                name={`machine-${kind}-${figure}`}
                width="100%"
                value={own[figure] ?? usual[figure]}
                least={0}
                most={most}
                after={after}
                {...(own[figure] === undefined && { hint: 'common practice' })}
                onChange={(to) => onChange({ machines: withFigure(house, kind, figure, to) })}
              />
            );
          }),
        ];
      })}
    </Box>
  );
}

const withFigure = (
  { machines }: House,
  kind: MachineKind,
  figure: keyof MachineFigures,
  to: number,
): House['machines'] => ({ ...machines, [kind]: { ...machines?.[kind], [figure]: to } });
