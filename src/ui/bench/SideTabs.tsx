'use client';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import { useJob } from '../job/context';
import { useDesk } from '../job/use-desk';
import { FACES } from '../shell/theme';
import type { Command } from '../palette/commands';
import { useBenchView } from './view';

/** The sides of the piece, and how near one looks. */
export function SideTabs({ commands }: { readonly commands: () => readonly Command[] }) {
  const { blank, surface } = useDesk();
  const show = useJob((s) => s.show);
  const { scale, trueScale } = useBenchView();
  const run = (id: string) =>
    commands()
      .find((c) => c.id === id)
      ?.run();
  return (
    <>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={surface.name}
        onChange={(_event, name: 'front' | 'back' | null) => name && show(name)}
        aria-label="Side"
      >
        {blank.surfaces.map((s) => (
          <ToggleButton
            key={s.name}
            value={s.name}
            sx={{ px: 1.75, py: 0.25, textTransform: 'capitalize', fontWeight: 600 }}
          >
            {s.name}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <ButtonGroup size="small" variant="text" aria-label="Zoom" sx={{ '& button': { minWidth: 34, px: 0.75 } }}>
        <Button aria-label="Further" title="Further (−)" onClick={() => run('zoom-out')}>
          −
        </Button>
        <Button title="Whole piece (0)" onClick={() => run('fit')}>
          <Box component="span" sx={{ fontFamily: FACES.figure, fontSize: 12.5 }}>
            {Math.round((scale / trueScale) * 100)} %
          </Box>
        </Button>
        <Button aria-label="Closer" title="Closer (+)" onClick={() => run('zoom-in')}>
          +
        </Button>
        <Button title="True size (1)" onClick={() => run('true-size')}>
          true size
        </Button>
      </ButtonGroup>
    </>
  );
}
