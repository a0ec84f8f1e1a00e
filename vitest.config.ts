import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [vue()],
  test: {
    include: [
      'core/**/*.test.ts',
      'server/**/*.test.ts',
      'cli/**/*.test.ts',
      'web/**/*.test.ts',
      'scripts/**/*.test.ts',
      'studies/**/*.test.ts',
    ],
    // Without this one core of two stays idle.
    maxWorkers: '100%',
    testTimeout: 120_000,
  },
});
