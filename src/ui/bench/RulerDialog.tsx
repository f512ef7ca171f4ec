'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { LengthField } from '../field/LengthField';
import { COLOURS } from '../shell/theme';
import { useBenchView } from '../view/bench-view';

const BAR_PX = 400;

interface Props {
  readonly onClose: () => void;
  /** The screen’s scale is known now. */
  readonly onDone: () => void;
}

/** Once a screen: a ruler held to a bar of known pixels says how large true size is. */
export function RulerDialog({ onClose, onDone }: Props) {
  const { trueScale, calibrate } = useBenchView();
  const [mm, setMm] = useState(BAR_PX / trueScale);
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle>Measure the screen</DialogTitle>
      <DialogContent>
        <p style={{ marginTop: 0 }}>
          Hold a ruler to this bar and write down how long it is. From then on, true size is true.
        </p>
        <Box sx={{ width: BAR_PX, height: 26, bgcolor: COLOURS.sheet, border: `2px solid ${COLOURS.ink}`, mb: 2 }} />
        <LengthField label="the bar is" value={mm} unit="mm" ppi={96} onChange={setMm} width={120} />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={mm < 20}
          onClick={() => {
            calibrate(BAR_PX / mm);
            onClose();
            onDone();
          }}
        >
          Keep this
        </Button>
      </DialogActions>
    </Dialog>
  );
}
