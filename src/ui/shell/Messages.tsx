'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Snackbar from '@mui/material/Snackbar';
import { X } from 'lucide-react';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';

export interface Message {
  readonly text: string;
  readonly tone: 'done' | 'problem';
  readonly action?: { readonly label: string; readonly run: () => void };
}

const Context = createContext<(message: Message) => void>(() => undefined);

/** Says something at the foot of the screen; a problem stays until it is closed. */
export const useSay = () => useContext(Context);

export function MessageProvider({ children }: { readonly children: ReactNode }) {
  const [message, setMessage] = useState<Message>();
  const [open, setOpen] = useState(false);
  const say = useCallback((next: Message) => {
    setMessage(next);
    setOpen(true);
  }, []);
  const close = useCallback(() => setOpen(false), []);
  const action = message?.action;
  const act = useMemo(
    () => () => {
      setOpen(false);
      action?.run();
    },
    [action],
  );
  return (
    <Context.Provider value={say}>
      {children}
      <Snackbar
        open={open}
        onClose={(_event, reason) => reason !== 'clickaway' && close()}
        autoHideDuration={message?.tone === 'done' ? 6000 : null}
        // At the foot of the bench: the sheet and its slip are full of fields, and the strip below says what matters.
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        sx={{ maxWidth: 350, bottom: { sm: 64 } }}
      >
        <Alert
          severity={message?.tone === 'problem' ? 'error' : 'success'}
          variant="filled"
          onClose={close}
          sx={{ maxWidth: 640, bgcolor: message?.tone === 'problem' ? 'error.main' : 'primary.main' }}
          action={
            action && (
              <>
                <Button color="inherit" size="small" onClick={act}>
                  {action.label}
                </Button>
                <IconButton color="inherit" size="small" aria-label="Close" onClick={close}>
                  <X size={18} aria-hidden />
                </IconButton>
              </>
            )
          }
        >
          {message?.text}
        </Alert>
      </Snackbar>
    </Context.Provider>
  );
}
