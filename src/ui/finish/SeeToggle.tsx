'use client';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { usePlateView } from '../view/plate-view';

/** The artwork as it was laid out, or the plates as they print. */
export function SeeToggle() {
  const { plates, set } = usePlateView();
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={plates ? 'plates' : 'artwork'}
      onChange={(_event, to: 'plates' | 'artwork' | null) => to && set({ plates: to === 'plates' })}
      aria-label="What is shown"
    >
      <ToggleButton value="artwork" sx={{ px: 1.5, py: 0.25 }}>
        Artwork
      </ToggleButton>
      <ToggleButton value="plates" sx={{ px: 1.5, py: 0.25 }}>
        Plates
      </ToggleButton>
    </ToggleButtonGroup>
  );
}
