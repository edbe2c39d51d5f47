import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  workers: 2,
  fullyParallel: true,
  timeout: 150_000,
  // A loaded machine of two cores may need long for what takes a moment: slow is not wrong.
  expect: { timeout: 30_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    // Tests that answer for the server would be passed by; the one about the worker itself lets it work.
    serviceWorkers: 'block',
    actionTimeout: 40_000,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
