import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/builtPage.ts';

const port = 4199;

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  workers: 2,
  timeout: 90_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    // Parts of the page are taken away in many tests: nothing else may bring them. The tests of working offline say otherwise.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // Days with the year first and points in figures; how others write them is a test of its own.
    locale: 'en-CA',
    // A click on what is still sliding can miss it on a busy machine; what moves is looked at by eye.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: 'node server/dist/main.js',
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port) },
    reuseExistingServer: false,
  },
});
