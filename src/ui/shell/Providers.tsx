'use client';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { ApiError } from './api';
import { MessageProvider } from './Messages';
import { theme } from './theme';
import { Uploads } from './Uploads';

/** Once more where no answer came; what the server said is shown at once. */
const isWorthTrying = (count: number, error: Error): boolean => count < 1 && !(error instanceof ApiError);

export function Providers({ children }: { readonly children: ReactNode }) {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: { queries: { retry: isWorthTrying, staleTime: 2_000, refetchOnWindowFocus: true } },
      }),
  );
  // Says that clicks are heard; tests wait for it.
  useEffect(() => {
    document.documentElement.dataset['ready'] = 'yes';
  }, []);
  return (
    <QueryClientProvider client={client}>
      <ThemeProvider theme={theme}>
        <CssBaseline />
        <MessageProvider>
          {children}
          <Uploads />
        </MessageProvider>
      </ThemeProvider>
    </QueryClientProvider>
  );
}
