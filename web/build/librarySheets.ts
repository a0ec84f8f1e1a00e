import { Alert, Button, Checkbox, ConfigProvider, Dropdown, Input, Menu, Select, Tag, Upload } from 'ant-design-vue';
import type * as cssinjs from 'ant-design-vue/es/_util/cssinjs';
import type * as internal from 'ant-design-vue/es/theme/internal';
import { createRequire } from 'node:module';
import type { Plugin } from 'vite';
import { type Component, createSSRApp, h } from 'vue';
import { renderToString } from 'vue/server-renderer';
import { libraryTheme, themeAround } from '../src/components/base/tokens.ts';

/** The library's own ways to styles and themes, in the build its parts run in here. */
const required = createRequire(import.meta.url);
const styles = required('ant-design-vue/lib/_util/cssinjs') as typeof cssinjs;
const { defaultConfig, DesignTokenProvider } = required('ant-design-vue/lib/theme/internal') as typeof internal;

/** The library's parts of the first screens, whose styles a page would otherwise work out itself: two thirds of what the first one costs a phone. */
async function librarySheet(dark: boolean, touch: boolean): Promise<string> {
  const cache = styles.createCache();
  const parts = () => [
    ...[Button, Input, Select, Checkbox, Alert, Tag, Upload].map((part: Component) => h(part)),
    h(Dropdown, null, { default: () => h('i'), overlay: () => h(Menu) }),
  ];
  const theme = libraryTheme(dark, touch, false);
  const value = themeAround(theme, defaultConfig);
  const themed = () => h(DesignTokenProvider, { value }, () => h(ConfigProvider, { theme }, parts));
  await renderToString(createSSRApp({ render: () => h(styles.StyleProvider, { cache }, themed) }));
  return inRem(styles.extractStyle(cache, true));
}
/** Letters, and what holds a line of them, grow with the size of letters that the reader has set. */
const inRem = (css: string): string =>
  css.replace(/\b(font-size|height|min-height):(\d+(?:\.\d+)?)px/g, (whole, name: string, px: string) =>
    name === 'font-size' || (Number(px) >= 30 && Number(px) <= 60) ? `${name}:${Number(px) / 16}rem` : whole,
  );

/** Those styles as a file for each light and each hand; `light.js` asks for the one that is needed, and without it the page works them out as before. */
export function librarySheets(): Plugin {
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
