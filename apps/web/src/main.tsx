import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/atkinson-hyperlegible-mono/wght.css';
import '@mantine/core/styles.layer.css';
import '@mantine/notifications/styles.layer.css';
import '@mantine/spotlight/styles.layer.css';
import './theme/global.css';
import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { MutationCache, QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { lookAgainWhenSignedOut } from './api/access-queries.js';
import { ApiError } from './api/client.js';
import { keepOffline } from './app/offline.js';
import { router } from './app/router.js';
import { theme } from './theme/theme.js';

/** A refused request will be refused again; only a lost connection is worth another try. */
const retry = (count: number, error: Error): boolean => !(error instanceof ApiError) && count < 2;

const onError = (error: unknown): void => lookAgainWhenSignedOut(queryClient, error);
const queryClient: QueryClient = new QueryClient({
  queryCache: new QueryCache({ onError }),
  mutationCache: new MutationCache({ onError }),
  // The program is on this machine or nearby: the browser's idea of being offline says nothing about it.
  defaultOptions: {
    queries: { retry, staleTime: 30_000, refetchOnWindowFocus: true, networkMode: 'always' },
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <MantineProvider theme={theme} defaultColorScheme="auto">
        <QueryClientProvider client={queryClient}>
          <Notifications position="bottom-left" limit={4} />
          <RouterProvider router={router} />
        </QueryClientProvider>
      </MantineProvider>
    </StrictMode>,
  );
}

if (import.meta.env.PROD) keepOffline();
