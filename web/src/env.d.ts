/// <reference types="vite/client" />
declare module '*.vue' {
  import type { DefineComponent } from 'vue';
  const component: DefineComponent<object, object, unknown>;
  export default component;
}
declare module 'plotly.js-basic-dist-min' {
  export * from 'plotly.js-dist-min';
  export { default } from 'plotly.js-dist-min';
}
declare module 'pdfmake/build/pdfmake.min.js' {
  import type { TDocumentDefinitions, TFontDictionary } from 'pdfmake/interfaces';
  const pdfMake: {
    addFonts(fonts: TFontDictionary): void;
    createPdf(definition: TDocumentDefinitions): { getBlob(): Promise<Blob> };
  };
  export default pdfMake;
}
