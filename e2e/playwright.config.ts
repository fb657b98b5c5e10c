import { defineConfig } from '@playwright/test';
import { chromiumPath } from './chromium.ts';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results/browser',
  // A test waits for the page about a third of its time: three keep two cores at work.
  workers: 3,
  // Every test finds an empty notebook, so any of them may run beside any other.
  fullyParallel: true,
  // A test that wants a second try is mended.
  retries: 0,
  // Long enough for a machine that stands still for half a minute: nothing is tested by its time.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: '../test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    // What it keeps for when the server is stopped is one test’s matter.
    serviceWorkers: 'block',
    actionTimeout: 40_000,
    locale: 'en-GB',
    // Nothing is waited for that only moves.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: chromiumPath(),
      chromiumSandbox: process.getuid?.() !== 0,
      args: ['--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
    },
  },
});
