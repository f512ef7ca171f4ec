'use client';
import Badge from '@mui/material/Badge';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import type { ReactNode } from 'react';
import type { Phase } from '@/core/save';
import { Mark } from '../shell/Mark';
import { clockWords } from '../shell/moments';
import { COLOURS, FACES } from '../shell/theme';
import { useJob } from '../open-job/context';
import { useBeside } from '../open-job/use-beside';
import { useFindings } from '../open-job/use-desk';

interface Props {
  readonly onPalette: () => void;
  readonly onBeside: () => void;
}

/** The route of stations, whether everything is saved, and whether another version waits to be looked at. */
export function Header({ onPalette, onBeside }: Props) {
  const waiting = useBeside().versions.filter((v) => !v.isSettled).length;
  const stations = useJob((s) => s.stations);
  const station = useJob((s) => s.station);
  const go = useJob((s) => s.go);
  const undo = useJob((s) => s.undo);
  const redo = useJob((s) => s.redo);
  const canUndo = useJob((s) => s.undoStack.length > 0);
  const canRedo = useJob((s) => s.redoStack.length > 0);
  const findings = useFindings();
  const faults = findings.filter((f) => f.severity !== 'note').length;
  return (
    <HeaderBar>
      <Box component="nav" aria-label="Stations" sx={{ display: 'flex', height: '100%', ml: 'auto', mr: 'auto' }}>
        {stations.map((one, i) => (
          <ButtonBase
            key={one.id}
            aria-current={station === one ? 'step' : undefined}
            onClick={() => go(one)}
            title={`Alt+${i + 1}`}
            sx={{
              px: { xs: 0.75, lg: 1.5 },
              gap: 0.75,
              fontSize: { xs: 14, lg: 15 },
              whiteSpace: 'nowrap',
              fontWeight: 600,
              fontFamily: FACES.text,
              color: station === one ? COLOURS.ink : COLOURS.inkSoft,
              borderBottom: `3px solid ${station === one ? COLOURS.ink : 'transparent'}`,
              borderTop: '3px solid transparent',
            }}
          >
            <Box
              aria-hidden
              component="span"
              sx={{
                width: 11,
                height: 11,
                borderRadius: '50%',
                border: `2.5px solid ${station === one ? COLOURS.ink : COLOURS.inkSoft}`,
                bgcolor: station === one ? COLOURS.sheet : 'transparent',
              }}
            />
            {one.title}
            {one.inspects && faults > 0 && (
              <Badge
                badgeContent={faults}
                color="error"
                aria-label={`${faults} to look at`}
                sx={
                  faults > 9 ? { ml: faults > 99 ? 2.25 : 1.75, mr: faults > 99 ? 1.25 : 0.75 } : { ml: 1.25, mr: 0.5 }
                }
              />
            )}
          </ButtonBase>
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 0.25 }}>
        <Tooltip title="Undo (Ctrl+Z)">
          <span>
            <IconButton size="small" aria-label="Undo" disabled={!canUndo} onClick={() => void undo()}>
              <Arrow way="back" />
            </IconButton>
          </span>
        </Tooltip>
        <Tooltip title="Redo (Ctrl+Shift+Z)">
          <span>
            <IconButton size="small" aria-label="Redo" disabled={!canRedo} onClick={() => void redo()}>
              <Arrow way="on" />
            </IconButton>
          </span>
        </Tooltip>
      </Box>
      <SaveState />
      {waiting > 0 && (
        <Button
          variant="outlined"
          color="warning"
          size="small"
          onClick={onBeside}
          sx={{ bgcolor: 'background.paper', whiteSpace: 'nowrap' }}
        >
          {waiting === 1 ? 'A version beside' : `${waiting} versions beside`}
        </Button>
      )}
      <Button
        variant="outlined"
        size="small"
        onClick={onPalette}
        sx={{ fontFamily: FACES.figure, fontWeight: 400, bgcolor: 'background.paper', whiteSpace: 'nowrap' }}
      >
        / commands
      </Button>
    </HeaderBar>
  );
}

/** Whether everything is on the server, in words. */
export function SaveState() {
  const phase = useJob((s) => s.saving.phase);
  return (
    <Box
      role="status"
      aria-live="polite"
      data-save={phase.is}
      title={'problem' in phase ? phase.problem : undefined}
      sx={{
        fontSize: 13,
        color: phase.is === 'refused' || phase.is === 'away' ? 'error.main' : 'text.secondary',
        minWidth: 104,
        textAlign: 'right',
      }}
    >
      {saveWords(phase)}
    </Box>
  );
}

/** The bar across the page, with the way back to the board. */
export function HeaderBar({ children }: { readonly children?: ReactNode }) {
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: { xs: 1, lg: 2 },
        px: { xs: 1.5, lg: 2.5 },
        height: 54,
        bgcolor: COLOURS.header,
        borderBottom: `1px solid ${COLOURS.line}`,
        flex: 'none',
        // On a phone it is drawn along.
        overflowX: { xs: 'auto', sm: 'visible' },
        scrollbarWidth: 'none',
      }}
    >
      <Mark />
      {children}
    </Box>
  );
}

function Arrow({ way }: { readonly way: 'back' | 'on' }) {
  return (
    <svg
      width="18"
      height="18"
      viewBox="0 0 18 18"
      aria-hidden
      style={{ transform: way === 'on' ? 'scaleX(-1)' : undefined }}
    >
      <path
        d="M7 3L3 7l4 4M3 7h7a4.5 4.5 0 010 9H7"
        fill="none"
        stroke="currentColor"
        strokeWidth="1.8"
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}

/** What is kept, and since when something is not. */
function saveWords(phase: Phase): string {
  switch (phase.is) {
    case 'saved':
      return phase.at === undefined ? 'Saved' : `Saved ${clockWords(phase.at)}`;
    case 'sending':
    case 'waiting':
      return 'Saving …';
    case 'away':
      return `Kept here since ${clockWords(phase.since)}; tried again`;
    case 'refused':
      return `Not saved since ${clockWords(phase.since)}`;
    case 'conflict':
      return 'Two versions';
  }
}
