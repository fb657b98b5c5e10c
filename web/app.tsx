import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { ConfigProvider } from 'antd';
import { useEffect } from 'react';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import type { AssayAnswer, BatchAnswer } from '#contract/api';
import { Away, Refused } from './api/client.ts';
import { whenWritten } from './api/outbox.ts';
import { ShelfPage } from './shelf/shelf-page.tsx';
import { ChoiceProvider, useChoice } from './shell/choice.tsx';
import { Crash } from './shell/crash.tsx';
import { Shell } from './shell/shell.tsx';
import { antdTheme } from './theme/antd.ts';

const AGAIN_MS = 4000;

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      // The server is on this machine: whether the wider network is up says nothing.
      networkMode: 'always',
      retry: (count, error) => !(error instanceof Refused) && count < 2,
      retryDelay: 600,
      // The server may be stopped and started: what could not be asked is asked again until it answers.
      refetchInterval: ({ state }) => (state.error instanceof Away ? AGAIN_MS : false),
      throwOnError: (error) => !(error instanceof Refused || error instanceof Away),
    },
    mutations: { networkMode: 'always' },
  },
});

const router = createBrowserRouter([
  {
    path: '/pair',
    errorElement: <Crash />,
    hydrateFallbackElement: <p className="waiting-block">Loading …</p>,
    lazy: async () => ({ Component: (await import('./pair/pair-page.tsx')).PairPage }),
  },
  {
    element: <Shell />,
    errorElement: <Crash />,
    hydrateFallbackElement: <p className="waiting-block">Loading …</p>,
    children: [
      // A page that fails is said in its place: the line, the strip and the accident card stay.
      {
        errorElement: <Crash />,
        children: [
          { index: true, element: <Navigate to="/shelf" replace /> },
          { path: 'shelf/:bottleId?', element: <ShelfPage /> },
          { path: 'plan/chain', lazy: async () => ({ Component: (await import('./plan/chain-page.tsx')).ChainPage }) },
          {
            path: 'plan/recipe',
            lazy: async () => ({ Component: (await import('./plan/recipe-page.tsx')).RecipePage }),
          },
          { path: 'plan/own', lazy: async () => ({ Component: (await import('./plan/own-page.tsx')).OwnPage }) },
          {
            path: 'plan/:batchId?',
            lazy: async () => ({ Component: (await import('./plan/plan-page.tsx')).PlanPage }),
          },
          { path: 'bench', lazy: async () => ({ Component: (await import('./week/board-page.tsx')).BoardPage }) },
          { path: 'bench/week', lazy: async () => ({ Component: (await import('./week/week-page.tsx')).WeekPage }) },
          {
            path: 'bench/leaving',
            lazy: async () => ({ Component: (await import('./week/leaving-page.tsx')).LeavingPage }),
          },
          { path: 'bench/back', lazy: async () => ({ Component: (await import('./week/back-page.tsx')).BackPage }) },
          {
            path: 'bench/:batchId',
            lazy: async () => ({ Component: (await import('./bench/bench-page.tsx')).BenchPage }),
          },
          {
            path: 'bench/:batchId/accident',
            lazy: async () => ({ Component: (await import('./care/accident-page.tsx')).AccidentPage }),
          },
          { path: 'assay', lazy: async () => ({ Component: (await import('./assay/home.tsx')).AssayHome }) },
          {
            path: 'assay/product/:batchId',
            lazy: async () => ({ Component: (await import('./assay/weighings.tsx')).Weighings }),
          },
          {
            path: 'assay/of/:bottleId',
            lazy: async () => ({ Component: (await import('./assay/choose-page.tsx')).ChoosePage }),
          },
          {
            path: 'assay/run/:assayId',
            lazy: async () => ({ Component: (await import('./assay/run-page.tsx')).RunPage }),
          },
          {
            path: 'panels/:panel?',
            lazy: async () => ({ Component: (await import('./panels/panels-page.tsx')).PanelsPage }),
          },
          { path: 'record', lazy: async () => ({ Component: (await import('./record/record-list.tsx')).RecordList }) },
          {
            path: 'record/compare',
            lazy: async () => ({ Component: (await import('./record/compare-page.tsx')).ComparePage }),
          },
          {
            path: 'record/:batchId',
            lazy: async () => ({ Component: (await import('./record/record-page.tsx')).RecordPage }),
          },
          {
            path: 'notebook',
            lazy: async () => ({ Component: (await import('./notebook/notebook-page.tsx')).NotebookPage }),
          },
          { path: '*', lazy: async () => ({ Component: (await import('./shell/nowhere.tsx')).Nowhere }) },
        ],
      },
    ],
  },
]);

export function App() {
  return (
    <ChoiceProvider>
      <Themed />
    </ChoiceProvider>
  );
}

function Themed() {
  const [theme] = useChoice('theme');
  useKeepWritten();
  return (
    <ConfigProvider theme={antdTheme(theme === 'night')} getPopupContainer={landmarkOf} virtual={false}>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ConfigProvider>
  );
}

/** Entries that the server has written move from the outbox into what is known of their batch, without a gap. */
function useKeepWritten() {
  useEffect(
    () =>
      whenWritten((written) => {
        for (const { of, batchId, event } of written) {
          if (of === 'assays') keepWritten<AssayAnswer, 'entries'>(['assay', batchId], 'entries', event);
          else keepWritten<BatchAnswer, 'events'>(['batch', batchId], 'events', event);
        }
        const keys = new Set(written.map(({ of, batchId }) => `${of === 'assays' ? 'assay' : 'batch'} ${batchId}`));
        const lists = [['photos'], ['batches'], ['bottles'], ['clock'], ['assays']];
        for (const queryKey of [...[...keys].map((each) => each.split(' ')), ...lists])
          void client.invalidateQueries({ queryKey });
      }),
    [],
  );
}

/** Puts an entry behind those that are known of its batch or assay. */
function keepWritten<Answer, Name extends keyof Answer>(
  queryKey: readonly string[],
  name: Name,
  entry: Answer[Name] extends readonly (infer E)[] ? E & { readonly id: string } : never,
) {
  client.setQueryData<Answer>(queryKey, (answer) => {
    if (!answer) return answer;
    const known = answer[name] as readonly { readonly id: string }[];
    return known.some(({ id }) => id === entry.id) ? answer : { ...answer, [name]: [...known, entry] };
  });
}

/** What pops up from a control stays in the landmark that the control stands in. */
function landmarkOf(control: HTMLElement | undefined): HTMLElement {
  return control?.closest('main') ?? document.body;
}
