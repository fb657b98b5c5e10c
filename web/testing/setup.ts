import { cleanup } from '@testing-library/react';
import { afterEach, vi } from 'vitest';

// Pages of tests are answered in their own thread, and at once; the tests share one copy of the page's modules.
vi.mock('#web/worker/compute.ts', async () => ({ useCompute: (await import('./bench.tsx')).computeHere }));
vi.mock('#web/worker/run-session.ts', async (real) => ({
  ...(await real<object>()),
  useRunState: (await import('./bench.tsx')).runHere,
  useRecordOf: (await import('./bench.tsx')).recordHere,
}));
vi.mock('#web/worker/use-spread.ts', () => ({ useSpread: () => undefined }));

// No page of a test reaches a server but the one that the test stands in for.
globalThis.fetch = () => Promise.reject(new TypeError('no server stands behind this test'));

afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.unstubAllGlobals();
  localStorage.clear();
  sessionStorage.clear();
});
