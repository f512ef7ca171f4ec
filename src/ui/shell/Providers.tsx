'use client';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { MessageProvider } from './Messages';
import { theme } from './theme';
import { Uploads } from './Uploads';

export function Providers({ children }: { readonly children: ReactNode }) {
  const [client] = useState(
    () => new QueryClient({ defaultOptions: { queries: { retry: 1, staleTime: 2_000, refetchOnWindowFocus: true } } }),
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
