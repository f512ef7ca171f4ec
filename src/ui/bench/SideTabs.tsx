'use client';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import { useJob } from '../job/context';
import { useDesk } from '../job/use-desk';
import { FACES } from '../shell/theme';
import { useBenchView } from './view';

/** The sides of the piece, and how near one looks. */
export function SideTabs() {
  const { blank, surface } = useDesk();
  const show = useJob((s) => s.show);
  const { scale, trueScale, zoomAt, fit, atTrueSize, width, height } = useBenchView();
  const middle = { x: width / 2, y: height / 2 };
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
        <Button aria-label="Further" title="Further (−)" onClick={() => zoomAt(0.8, middle)}>
          −
        </Button>
        <Button title="Whole piece (0)" onClick={() => fit(surface.boxes.bleed)}>
          <Box component="span" sx={{ fontFamily: FACES.figure, fontSize: 12.5 }}>
            {Math.round((scale / trueScale) * 100)} %
          </Box>
        </Button>
        <Button aria-label="Closer" title="Closer (+)" onClick={() => zoomAt(1.25, middle)}>
          +
        </Button>
        <Button title="True size (1)" onClick={() => atTrueSize(surface.boxes.trim)}>
          true size
        </Button>
      </ButtonGroup>
    </>
  );
}
