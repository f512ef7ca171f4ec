import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface Props {
  readonly sheet: ReactNode;
  readonly children: ReactNode;
}

/** The yellow sheet, and the piece to the right of it; on a phone the piece stands above its sheet. */
export function Workspace({ sheet, children }: Props) {
  return (
    <Box sx={{ flex: 1, display: 'flex', flexDirection: { xs: 'column-reverse', sm: 'row' }, minHeight: 0 }}>
      {sheet}
      <Box
        component="main"
        sx={{ flex: 1, minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column', overflow: 'hidden' }}
      >
        {children}
      </Box>
    </Box>
  );
}
