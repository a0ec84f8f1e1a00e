import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

const test = { testTimeout: 120_000 };

export default defineConfig({
  test: {
    // Without this one core of two stays idle.
    maxWorkers: '100%',
    projects: [
      {
        test: {
          ...test,
          name: 'core',
          include: ['core', 'cli', 'scripts', 'studies'].map((room) => `${room}/**/*.test.ts`),
          // Nothing here keeps state between tests, so the files of a worker share what they have loaded.
          isolate: false,
          pool: 'threads',
        },
      },
      {
        plugins: [vue()],
        // Node loads these by itself; the library's other modules would be rewritten first, for every file of tests.
        resolve: { alias: [{ find: /^ant-design-vue\/es\//, replacement: 'ant-design-vue/lib/' }] },
        test: { ...test, name: 'page', include: ['web/**/*.test.ts', 'server/**/*.test.ts'], pool: 'threads' },
      },
    ],
  },
});
