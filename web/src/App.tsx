import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useState } from 'react';
import { createBrowserRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { ApiProblem } from './api/problem.js';
import { NoticeProvider } from './page/Notice.js';
import { routes } from './routes.js';
import { Look } from './theme/Look.js';

/** A refusal stays a refusal; what could not be reached is worth two more tries. */
function worthAnotherTry(failures: number, error: Error): boolean {
  return !(error instanceof ApiProblem) && failures < 2;
}

export function App() {
  const [client] = useState(
    () =>
      new QueryClient({
        defaultOptions: { queries: { retry: worthAnotherTry, staleTime: 30_000, networkMode: 'always' } },
      }),
  );
  const [router] = useState(() => createBrowserRouter(routes));
  return (
    <Look>
      <QueryClientProvider client={client}>
        <NoticeProvider>
          <RouterProvider router={router} />
        </NoticeProvider>
      </QueryClientProvider>
    </Look>
  );
}
