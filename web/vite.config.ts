import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import vue from '@vitejs/plugin-vue';
import { cssVariables } from './src/components/base/tokens.ts';
import { defineConfig, type Plugin } from 'vite';

/** The English data of the reader of text, at the one address where the reader looks for it: it does not take a name with a hash. */
function readerData(): Plugin {
  const folder = path.dirname(createRequire(import.meta.url).resolve('@tesseract.js-data/eng/package.json'));
  const source = (): Buffer => readFileSync(path.join(folder, '4.0.0_best_int/eng.traineddata.gz'));
  return {
    name: 'reader-data',
    generateBundle() {
      this.emitFile({ type: 'asset', fileName: 'reader/eng.traineddata.gz', source: source() });
    },
    configureServer(server) {
      server.middlewares.use('/reader/eng.traineddata.gz', (_, response) => void response.end(source()));
    },
  };
}

/** The look's variables stand in the page's head, so that the first paint, before any script, has its colours. */
function look(): Plugin {
  return {
    name: 'look',
    transformIndexHtml: () => [{ tag: 'style', children: cssVariables(), injectTo: 'head-prepend' }],
  };
}

/** What this build is called: the version and the day and minute it was built. */
const built = new Date().toISOString().slice(0, 16).replace('T', ' ');
const { version } = JSON.parse(readFileSync(path.join(import.meta.dirname, 'package.json'), 'utf8')) as {
  version: string;
};

export default defineConfig({
  define: { 'import.meta.env.VITE_VERSION': JSON.stringify(`${version}, built ${built}`) },
  plugins: [vue(), readerData(), look()],
  worker: { format: 'es' },
  build: { target: 'es2022', chunkSizeWarningLimit: 1600, assetsInlineLimit: 0 },
});
