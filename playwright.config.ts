import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/builtPage.ts';

const port = 4199;

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  workers: 1,
  timeout: 90_000,
  expect: { timeout: 20_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/results.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: 'npx --no-install tsx server/src/main.ts',
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port) },
    reuseExistingServer: false,
  },
});
