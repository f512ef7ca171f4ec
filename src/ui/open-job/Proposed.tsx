'use client';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef, type ReactNode } from 'react';
import { useJob } from './context';

/** A change that waits: what it changes, what it leaves without a place, what then fails, and the choice. */
export function Proposed() {
  const proposal = useJob((s) => s.proposal);
  const propose = useJob((s) => s.propose);
  const change = useJob((s) => s.change);
  const box = useRef<HTMLDivElement>(null);
  // The box takes the focus and not its button: the Enter that made the change must not also say yes to it.
  useEffect(() => {
    if (proposal) box.current?.focus();
  }, [proposal]);
  if (!proposal) return null;
  const { lost, changes, fails, label, recipe } = proposal;
  const isQuiet = lost.length === 0 && fails.length === 0;
  return (
    <Alert
      severity={isQuiet ? 'info' : 'warning'}
      ref={box}
      tabIndex={-1}
      onKeyDown={(event) => {
        if (event.key === 'Escape') propose(undefined);
      }}
      role="alertdialog"
      aria-label={label}
      sx={{ mb: 1, '& .MuiAlert-message': { flex: 1, minWidth: 0 } }}
      action={
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
          <Button size="small" variant="contained" onClick={() => change(label, recipe)}>
            Change it
          </Button>
          <Button size="small" onClick={() => propose(undefined)}>
            Leave it as it is
          </Button>
        </Box>
      }
    >
      <b>{label}?</b>
      {changes.length > 0 && <Lines title="What changes">{changes}</Lines>}
      {lost.length > 0 && (
        <Lines title={lost.length === 1 ? 'One thing will no longer fit' : `${lost.length} things will no longer fit`}>
          {lost.map((l) => `${l.name} (${l.side}): ${l.why}`)}
        </Lines>
      )}
      {fails.length > 0 && <Lines title="What then fails">{fails}</Lines>}
      {isQuiet && <div>Everything still fits.</div>}
    </Alert>
  );
}

/** Longer lists end with how many more there are. */
const SHOWN = 12;

function Lines({ title, children }: { readonly title: string; readonly children: readonly string[] }): ReactNode {
  return (
    <Box sx={{ mt: 0.5 }}>
      {title}:
      <Box component="ul" sx={{ m: 0, pl: 2.5, maxHeight: 108, overflowY: 'auto' }}>
        {children.slice(0, SHOWN).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {children.length > SHOWN && <li>and {children.length - SHOWN} more</li>}
      </Box>
    </Box>
  );
}
