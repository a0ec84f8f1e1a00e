/** What the build works out for the library (`web/build/libraryMaps.ts`). */
declare module 'virtual:library-maps' {
  import type { MapToken } from 'ant-design-vue/es/theme/interface';
  const maps: Record<string, MapToken>;
  export default maps;
}
