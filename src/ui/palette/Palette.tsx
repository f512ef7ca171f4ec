'use client';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { FACES } from '../shell/theme';
import type { Command } from '../open-job/command';

/** Every command by name. */
export function Palette({
  open,
  commands,
  onClose,
}: {
  readonly open: boolean;
  readonly commands: () => readonly Command[];
  readonly onClose: () => void;
}) {
  // What is possible is asked each time it opens.
  const shown = open ? commands().filter((c) => c.enabled && c.id !== 'palette') : [];
  return (
    <Dialog
      open={open}
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      aria-label="Find a command"
      slotProps={{ container: { sx: { alignItems: 'flex-start', pt: '10vh' } } }}
    >
      <Autocomplete
        open
        autoHighlight
        options={shown}
        groupBy={(c) => c.group}
        getOptionLabel={(c) => c.title}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        onChange={(_event, command) => {
          onClose();
          // After the dialog has given the focus back.
          if (command) setTimeout(command.run, 0);
        }}
        onClose={(_event, reason) => {
          if (reason === 'escape') onClose();
        }}
        forcePopupIcon={false}
        noOptionsText="No command of that name"
        renderOption={({ key, ...props }, command) => (
          <li key={key} {...props}>
            <Box sx={{ flex: 1 }}>{command.title}</Box>
            <Box component="kbd" sx={{ fontFamily: FACES.figure, fontSize: 12, color: 'text.secondary' }}>
              {command.keys[0] ?? ''}
            </Box>
          </li>
        )}
        renderInput={(params) => (
          <TextField
            {...params}
            autoFocus
            placeholder="What do you want to do?"
            variant="outlined"
            aria-label="Find a command"
          />
        )}
        slotProps={{ listbox: { sx: { maxHeight: '50vh' } }, popper: { placement: 'bottom-start' } }}
        sx={{ p: 1.5 }}
      />
    </Dialog>
  );
}
