'use client';
import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { FORM_KINDS, formKind } from '@/core/job';
import { ADD_LOGO } from './add-commands';
import type { Command } from '../open-job/command';

interface Shown {
  readonly id: string;
  readonly label: string;
  /** Where there is little room it goes into the menu. */
  readonly isWide?: true;
}

const SHOWN: readonly Shown[] = [
  { id: 'add-text', label: 'Text' },
  { id: 'add-picture', label: 'Picture' },
  { id: 'add-table', label: 'Table', isWide: true },
  { id: 'add-printable', label: 'Printable', isWide: true },
  { id: 'add-rectangle', label: 'Box' },
  { id: 'add-ellipse', label: 'Oval', isWide: true },
  { id: 'add-line', label: 'Line', isWide: true },
];

/** As much room as all of them take, px: names of many sides leave less than those of two. */
const ROOM_FOR_ALL = 515;

const ON_WIDE = { display: 'none', [`@container add (min-width: ${ROOM_FOR_ALL}px)`]: { display: 'inline-flex' } };

/** Forms that have a button of their own. */
const OFTEN: readonly string[] = ['rectangle', 'ellipse'];

const MORE: readonly Shown[] = [
  ...SHOWN.filter(({ isWide }) => isWide),
  ...FORM_KINDS.filter((form) => !OFTEN.includes(form)).map((form) => ({
    id: `add-${form}`,
    label: formKind(form).label,
  })),
  { id: 'add-frame', label: 'Empty picture frame' },
];

/** What can be laid on the bench, in words. */
export function AddBar({ commands }: { readonly commands: () => readonly Command[] }) {
  const [more, setMore] = useState<HTMLElement | null>(null);
  const run = (id: string) =>
    commands()
      .find((c) => c.id === id)
      ?.run();
  /** Drawings of the client’s kit. */
  const ofKit = () =>
    commands().flatMap((c) => (c.id.startsWith(ADD_LOGO) ? [{ id: c.id, label: c.title.replace(/^Add /, '') }] : []));
  return (
    <Box
      role="toolbar"
      aria-label="Add to this side"
      sx={{
        flex: '1 1 0',
        minWidth: 0,
        containerType: 'inline-size',
        containerName: 'add',
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'flex-end', gap: 0.75 }}>
        <Box component="span" sx={{ fontSize: 13, color: 'text.secondary' }}>
          Add
        </Box>
        {SHOWN.map(({ id, label, isWide }) => (
          <Button
            key={id}
            size="small"
            variant="outlined"
            title={commands().find((c) => c.id === id)?.keys[0] ?? ''}
            onClick={() => run(id)}
            sx={{ minWidth: 0, px: 1.25, bgcolor: 'background.paper', ...(isWide && ON_WIDE) }}
          >
            {label}
          </Button>
        ))}
        <Button
          size="small"
          variant="outlined"
          aria-haspopup="menu"
          onClick={(event) => setMore(event.currentTarget)}
          sx={{ minWidth: 0, px: 1.25, bgcolor: 'background.paper' }}
        >
          More
        </Button>
      </Box>
      <Menu open={more !== null} anchorEl={more} onClose={() => setMore(null)}>
        {[...MORE, ...ofKit()].map(({ id, label }: Shown) => (
          <MenuItem
            key={id}
            dense
            onClick={() => {
              setMore(null);
              run(id);
            }}
          >
            {label}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}
