import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import vue from '@vitejs/plugin-vue';
import { firstPaint, nothingBefore } from './build/firstPaint.ts';
import { fileOf } from './build/screenFiles.ts';
import { librarySheets } from './build/librarySheets.ts';
import { packedFiles } from './build/packedFiles.ts';
import { palette } from './src/components/base/tokens.ts';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

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

/** What this build is called: the version and the day and minute it was built. */
const built = new Date().toISOString().slice(0, 16).replace('T', ' ');
const { version } = JSON.parse(readFileSync(path.join(import.meta.dirname, 'package.json'), 'utf8')) as {
  version: string;
};

export default defineConfig(({ mode }) => ({
  define: { 'import.meta.env.VITE_VERSION': JSON.stringify(`${version}, built ${built}`) },
  plugins: [
    vue(),
    readerData(),
    firstPaint(),
    librarySheets(),
    nothingBefore(),
    // Everything is fetched once, when the page rests, and then works without the server; a newer version waits until it is taken.
    VitePWA({
      injectRegister: false,
      registerType: 'prompt',
      filename: 'offline.js',
      manifest: {
        name: 'Mellow Probe',
        short_name: 'Mellow Probe',
        description: 'Temperature sensor circuits: sensor, reference supply or wiring.',
        id: '/',
        start_url: '/',
        display: 'standalone',
        background_color: palette(false).paper,
        theme_color: palette(false).spruce,
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-512-maskable.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,woff,ttf,otf,wasm,json}'],
        // The reader of text is kept with its first use, or when it is asked for: it is larger than all the rest.
        globIgnores: ['assets/tesseract-core*'],
        runtimeCaching: [
          {
            urlPattern: /\/(?:reader\/|assets\/tesseract-core)/,
            handler: 'CacheFirst',
            options: { cacheName: 'picture-reader', matchOptions: { ignoreVary: true } },
          },
        ],
        maximumFileSizeToCacheInBytes: 30e6,
        clientsClaim: true,
        inlineWorkboxRuntime: true,
        sourcemap: false,
        // Names with a hash of their content need no other mark.
        dontCacheBustURLsMatching: /^assets\//,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
      },
    }),
    // `--mode plain` packs nothing: for tests and the demo, whose server is on the same machine.
    mode === 'plain' ? null : packedFiles(),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 1600,
    assetsInlineLimit: 0,
    reportCompressedSize: false,
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            // Zod with what it is told before any schema is made.
            { name: 'base', test: /node_modules\/(vue-router|pinia|zod|workbox-window)\/|browser\/jitless/ },
            { name: fileOf },
          ],
        },
      },
    },
  },
}));
