'use client';
import Box from '@mui/material/Box';
import { COLOURS, FACES } from '../shell/theme';

export function RecordTable({
  heads,
  children,
}: {
  readonly heads: readonly string[];
  readonly children: React.ReactNode;
}) {
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        data-on="paper"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          maxWidth: 1100,
          fontSize: 14.5,
          bgcolor: COLOURS.paper,
          '& th': {
            textAlign: 'left',
            fontSize: 12,
            fontWeight: 700,
            color: 'text.secondary',
            px: 1.5,
            py: 1,
            borderBottom: `2px solid ${COLOURS.ink}`,
          },
          '& td': { px: 1.5, py: 0.75, borderBottom: `1px solid ${COLOURS.line}` },
        }}
      >
        <thead>
          <tr>
            {heads.map((h) => (
              <th key={h} scope="col">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>{children}</tbody>
      </Box>
    </Box>
  );
}

export function RecordRow({
  label,
  cells,
  onOpen,
}: {
  readonly label: string;
  readonly cells: readonly string[];
  readonly onOpen: () => void;
}) {
  return (
    <Box component="tr" sx={{ '&:hover': { bgcolor: COLOURS.sheetPale } }}>
      <td>
        <Box
          component="button"
          type="button"
          onClick={onOpen}
          sx={{
            all: 'unset',
            cursor: 'pointer',
            fontWeight: 600,
            textDecoration: 'underline',
            textUnderlineOffset: 3,
            '&:focus-visible': { outline: `2px solid ${COLOURS.accent}` },
          }}
        >
          {label}
        </Box>
      </td>
      {cells.map((cell, i) => (
        <Box component="td" key={i} sx={{ fontFamily: /\d/.test(cell) ? FACES.figure : 'inherit', fontSize: 13.5 }}>
          {cell}
        </Box>
      ))}
    </Box>
  );
}
