import { theme } from 'ant-design-vue';
import type { Plugin } from 'vite';
import { libraryTheme, type LibraryMaps, mapName } from '../src/components/base/tokens.ts';

/** What the library makes of our tokens, for each light and each hand: some four hundred colours and sizes. */
export function libraryMaps(): LibraryMaps {
  const worked = (dark: boolean, touch: boolean) =>
    theme.defaultAlgorithm({ ...theme.defaultSeed, ...libraryTheme(dark, touch, false).token });
  return Object.fromEntries(
    [false, true].flatMap((dark) => [false, true].map((touch) => [mapName(dark, touch), worked(dark, touch)])),
  );
}

const NAME = 'virtual:library-maps';

/** Those maps as a module, worked out once by the build and not by every phone at every start. */
export function libraryMapsModule(): Plugin {
  return {
    name: 'library-maps',
    resolveId: (id) => (id === NAME ? `\0${NAME}` : null),
    // As a text: a browser reads data faster than code.
    load: (id) =>
      id === `\0${NAME}` ? `export default JSON.parse(${JSON.stringify(JSON.stringify(libraryMaps()))})` : null,
  };
}
