import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, type RenderResult } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';

/** Shows something as the program does: with its theme, a cache of its own and an address. */
export function show(
  children: ReactNode,
  client = new QueryClient(),
): RenderResult & { readonly client: QueryClient } {
  client.setDefaultOptions({ queries: { retry: false, staleTime: Infinity } });
  const shown = render(
    <MantineProvider env="test">
      <Notifications />
      <QueryClientProvider client={client}>
        <MemoryRouter>{children}</MemoryRouter>
      </QueryClientProvider>
    </MantineProvider>,
  );
  return { ...shown, client };
}
