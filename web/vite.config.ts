import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import vue from '@vitejs/plugin-vue';
import { Alert, Button, Checkbox, ConfigProvider, Dropdown, Input, Menu, Select, Tag, Upload } from 'ant-design-vue';
import { type Component, createSSRApp, h } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { cssVariables, libraryTheme, palette } from './src/components/base/tokens.ts';
import { appWords } from '../core/src/wording/screens/app.ts';
import { noJobsWords as empty } from '../core/src/wording/screens/jobs.ts';
import { defineConfig, type Plugin } from 'vite';
import type * as cssinjs from 'ant-design-vue/lib/_util/cssinjs';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** The library's own way to styles, in the build its parts run in here. */
const styles = createRequire(import.meta.url)('ant-design-vue/lib/_util/cssinjs') as typeof cssinjs;

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

/** The look's variables, and the words of an empty ledger, stand in the page itself, so that the first paint, before any script, has them. */
function firstPaint(): Plugin {
  const opening = `${empty.sensorSupplyOrWiring} ${appWords.openingTheChecks}`;
  const told = [
    `<h1>${empty.sensorSupplyOrWiring}</h1><p>${empty.fourFiguresAreEnoughForAVerdict}</p>`,
    `<ol><li>${[
      empty.theTemperatureBesideTheSensorBy,
      empty.theSensorsOhmsUnplugged,
      empty.theVoltsAtThePlugUnplugged,
      empty.theVoltsAtThePlugPluggedIn,
    ].join('</li><li>')}</li></ol>`,
    `<p>${empty.typeThemInAnyOrderAfter}</p>`,
  ].join('');
  return {
    name: 'first-paint',
    transformIndexHtml: (html) => ({
      html: html.replace('%opening%', opening).replace('%empty%', told),
      tags: [{ tag: 'style', children: cssVariables(), injectTo: 'head-prepend' }],
    }),
  };
}

/** The first paint waits for no script and for no style but its own: scripts come after what is seen, and `light.js` asks for the style sheets. */
function nothingBefore(): Plugin {
  return {
    name: 'nothing-before',
    enforce: 'post',
    transformIndexHtml: {
      order: 'post',
      handler(html) {
        const sheets = [...html.matchAll(/<link rel="stylesheet"[^>]*href="([^"]+)"[^>]*>/g)];
        return {
          html: sheets
            .reduce((rest, [link]) => rest.replace(link, ''), html)
            .replaceAll(/<(script type="module"|link rel="modulepreload") crossorigin/g, '$& fetchpriority="low"'),
          tags: sheets.map(([, file]) => ({
            tag: 'meta',
            attrs: { name: 'sheet', content: file },
            injectTo: 'head-prepend' as const,
          })),
        };
      },
    },
  };
}

/** The library's parts of the first screens, whose styles a page would otherwise work out itself: two thirds of what the first one costs a phone. */
async function librarySheet(dark: boolean, touch: boolean): Promise<string> {
  const cache = styles.createCache();
  const parts = () => [
    ...[Button, Input, Select, Checkbox, Alert, Tag, Upload].map((part: Component) => h(part)),
    h(Dropdown, null, { default: () => h('i'), overlay: () => h(Menu) }),
  ];
  const themed = () => h(ConfigProvider, { theme: libraryTheme(dark, touch, false) }, parts);
  await renderToString(createSSRApp({ render: () => h(styles.StyleProvider, { cache }, themed) }));
  return styles.extractStyle(cache, true);
}
/** Those styles as a file for each light and each hand; `light.js` asks for the one that is needed, and without it the page works them out as before. */
function librarySheets(): Plugin {
  return {
    name: 'library-sheets',
    apply: 'build',
    async buildStart() {
      for (const dark of [false, true])
        for (const touch of [false, true]) {
          const name = `library-${dark ? 'dark' : 'light'}-${touch ? 'thumb' : 'mouse'}.css`;
          this.emitFile({ type: 'asset', name, source: await librarySheet(dark, touch) });
        }
    },
    transformIndexHtml: {
      order: 'post',
      handler: (_, { bundle }) =>
        Object.keys(bundle ?? {})
          .filter((file) => /library-\w+-\w+-[^/]*\.css$/.test(file))
          .map((file) => ({
            tag: 'meta',
            attrs: { name: /library-\w+-\w+/.exec(file)![0], content: `/${file}` },
            injectTo: 'head-prepend' as const,
          })),
    },
  };
}

/** Where a first visit leads: its own modules come in one file, for some forty small ones cost a phone more than what is in them. */
const FIRST_SCREEN = path.join(import.meta.dirname, 'src/screens/jobs/JobsScreen.vue');
const first = new Set<string>();
/** Is this the first screen, or an own module that it imports, and so on? What it imports later is not. */
function ofFirst(id: string, modules: { getModuleInfo: (id: string) => { importedIds: string[] } | null }): boolean {
  if (first.size === 0) {
    const ahead = [FIRST_SCREEN];
    for (let next = ahead.pop(); next !== undefined; next = ahead.pop()) {
      if (first.has(next) || next.includes('node_modules')) continue;
      first.add(next);
      ahead.push(...(modules.getModuleInfo(next)?.importedIds ?? []));
    }
  }
  return first.has(id);
}

/** What this build is called: the version and the day and minute it was built. */
const built = new Date().toISOString().slice(0, 16).replace('T', ' ');
const { version } = JSON.parse(readFileSync(path.join(import.meta.dirname, 'package.json'), 'utf8')) as {
  version: string;
};

export default defineConfig({
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
        globPatterns: ['**/*.{js,css,html,svg,png,woff2,woff,ttf,otf,wasm,json}', 'reader/*.gz'],
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
    // Packed once, at build, and not at every call.
    compression({ algorithms: ['gzip', 'brotliCompress'], include: /\.(js|css|html|svg|wasm)$/, threshold: 1000 }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 1600,
    assetsInlineLimit: 0,
    rolldownOptions: {
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            // Zod with what it is told before any schema is made.
            { name: 'base', test: /node_modules\/(vue-router|pinia|zod|workbox-window)\/|browser\/jitless/ },
            { name: (id, ctx) => (ofFirst(id, ctx) ? 'first' : null) },
          ],
        },
      },
    },
  },
});
