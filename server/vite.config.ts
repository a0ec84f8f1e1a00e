import { defineConfig } from 'vite';

/** The server as one file that Node runs by itself; only what npm installs stays outside. */
export default defineConfig({
  build: { ssr: 'src/main.ts', target: 'node20', outDir: 'dist' },
  ssr: { noExternal: [/^@mellow-probe\//] },
});
