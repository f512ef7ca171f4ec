'use client';
import Button from '@mui/material/Button';
import { useRef, type ReactNode } from 'react';

interface Props {
  /** What the button says. */
  readonly children: ReactNode;
  /** What kind of file is asked for, for those who do not see it. */
  readonly asks: string;
  readonly accept: string;
  readonly size?: 'small' | 'medium';
  readonly onFile: (file: File) => void;
}

/** A button that asks for a file of the computer’s. */
export function FileButton({ children, asks, accept, size = 'small', onFile }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button
        size={size}
        variant="outlined"
        onClick={() => input.current?.click()}
        sx={{ bgcolor: 'background.paper' }}
      >
        {children}
      </Button>
      <input
        ref={input}
        hidden
        type="file"
        accept={accept}
        aria-label={asks}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onFile(file);
          event.target.value = '';
        }}
      />
    </>
  );
}
