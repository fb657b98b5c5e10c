import { defineConfig } from '@playwright/test';
import { chromiumPath } from './chromium.ts';

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  outputDir: '../test-results',
  workers: 2,
  fullyParallel: false,
  retries: 0,
  timeout: 60_000,
  expect: { timeout: 8_000 },
  reporter: [['list'], ['json', { outputFile: '../test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    actionTimeout: 10_000,
    locale: 'en-GB',
    launchOptions: {
      executablePath: chromiumPath(),
      chromiumSandbox: process.getuid?.() !== 0,
      args: ['--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
    },
  },
});
