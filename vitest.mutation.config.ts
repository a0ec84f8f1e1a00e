import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vitest/config';

/** The tests of one room alone, named by the environment: see scripts/mutation.mjs. */
export default defineConfig({
  plugins: [vue()],
  // A mutation run works in a copy of the tree, and its packages are a link out of that copy.
  server: { fs: { strict: false } },
  test: { include: (process.env.MUTATION_TESTS ?? '').split(','), testTimeout: 60_000 },
});
