'use client';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useJob } from '../open-job/context';
import { useDesk } from '../open-job/use-desk';
import { FACES } from '../shell/theme';
import type { Command } from '../open-job/command';
import { useBenchView } from '../view/bench-view';
import { useSheetView } from '../view/sheet-view';
import { pageCount } from '@/core/edit';

/** So many sides stand beside each other; more go into a list. */
const ABREAST = 4;

/** The sides and pages of the piece, flat or folded, and how near one looks. */
export function SideTabs({ commands }: { readonly commands: () => readonly Command[] }) {
  const { blank, piece, surface } = useDesk();
  const show = useJob((s) => s.show);
  const mode = useJob((s) => s.station);
  const folded = useJob((s) => s.folded);
  const setFolded = useJob((s) => s.setFolded);
  // A sheet of the press stands there as a whole.
  const isSheet = useSheetView((v) => v.isShown) && mode.shows.has('imposed');
  const { scale, trueScale } = useBenchView();
  const run = (id: string) =>
    commands()
      .find((c) => c.id === id)
      ?.run();
  return (
    <>
      {pageCount(piece) !== undefined ? null : blank.surfaces.length <= ABREAST ? (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={surface.name}
          onChange={(_event, name: string | null) => name && show(name)}
          aria-label="Side"
        >
          {blank.surfaces.map((s) => (
            <ToggleButton
              key={s.name}
              value={s.name}
              sx={{ px: 1.75, py: 0.25, textTransform: 'capitalize', fontWeight: 600, whiteSpace: 'nowrap' }}
            >
              {s.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      ) : (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
          <Button size="small" aria-label="Previous side or page" title="PageUp" onClick={() => run('side-previous')}>
            ‹
          </Button>
          <TextField
            select
            hiddenLabel
            value={surface.name}
            onChange={(event) => show(event.target.value)}
            sx={{ width: 150 }}
            slotProps={{ htmlInput: { 'aria-label': 'Side or page' } }}
          >
            {blank.surfaces.map((s) => (
              <MenuItem key={s.name} value={s.name} dense>
                {s.name}
              </MenuItem>
            ))}
          </TextField>
          <Button size="small" aria-label="Next side or page" title="PageDown" onClick={() => run('side-next')}>
            ›
          </Button>
        </Box>
      )}
      {mode.folds && blank.folding && (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={folded ? 'folded' : 'flat'}
          onChange={(_event, to: string | null) => to && setFolded(to === 'folded')}
          aria-label="Flat or folded"
        >
          <ToggleButton value="flat" sx={{ px: 1.5, py: 0.25 }}>
            flat
          </ToggleButton>
          <ToggleButton value="folded" sx={{ px: 1.5, py: 0.25 }}>
            folded
          </ToggleButton>
        </ToggleButtonGroup>
      )}
      {!(folded && mode.folds) && !isSheet && (
        <ButtonGroup size="small" variant="text" aria-label="Zoom" sx={{ '& button': { minWidth: 34, px: 0.75 } }}>
          <Button aria-label="Further" title="Further (−)" onClick={() => run('zoom-out')}>
            −
          </Button>
          <Button title="Whole piece (0)" onClick={() => run('fit')}>
            <Box component="span" sx={{ fontFamily: FACES.figure, fontSize: 12.5, whiteSpace: 'nowrap' }}>
              {Math.round((scale / trueScale) * 100)} %
            </Box>
          </Button>
          <Button aria-label="Closer" title="Closer (+)" onClick={() => run('zoom-in')}>
            +
          </Button>
          <Button
            title="True size (1)"
            onClick={() => run('true-size')}
            sx={{ display: { xs: 'none', lg: 'inline-flex' }, whiteSpace: 'nowrap' }}
          >
            true size
          </Button>
        </ButtonGroup>
      )}
    </>
  );
}
