import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { vi } from 'vitest';
import { Margin, MarginProvider } from '../parts/margin.tsx';

/** What a server answers, by method and path; a number is a status, a function is asked each time. */
export type Answers = Readonly<Record<string, unknown>>;

/** Stands in for the server: anything that is not named is not there. What was sent is kept in `sent`. */
export function serverOf(answers: Answers) {
  const sent: { readonly to: string; readonly body: unknown }[] = [];
  vi.stubGlobal('fetch', async (path: string, init?: RequestInit) => {
    const to = `${init?.method ?? 'GET'} ${path.replace('/api', '')}`;
    const body: unknown = init?.body ? JSON.parse(String(init.body)) : undefined;
    const answer = answers[to];
    // What another test left in the outbox may still go out: it is none of this one's.
    if (init?.method && init.method !== 'GET' && answer !== undefined) sent.push({ to, body });
    if (answer === 'away') throw new TypeError('failed to fetch');
    if (answer === undefined) return problem(404, `There is no ${to}.`);
    if (typeof answer === 'number') return problem(answer, 'The server would not.');
    return new Response(JSON.stringify(typeof answer === 'function' ? answer(body) : answer), {
      headers: { Date: new Date().toUTCString() },
    });
  });
  return { sent };
}

function problem(status: number, detail: string): Response {
  return new Response(JSON.stringify({ type: 'about:blank', title: 'Refused', status, detail, code: 'went-wrong' }), {
    status,
  });
}

/** Draws a page at an address, with its margin. */
export function drawAt(path: string, pattern: string, page: ReactNode) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { retry: false } } });
  const router = createMemoryRouter(
    [
      { path: pattern, element: page },
      { path: '*', element: <p>somewhere else</p> },
    ],
    { initialEntries: [path] },
  );
  render(
    <QueryClientProvider client={client}>
      <MarginProvider>
        <RouterProvider router={router} />
        <Margin />
      </MarginProvider>
    </QueryClientProvider>,
  );
  return router;
}
