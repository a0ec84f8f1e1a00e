import corePath from 'tesseract.js-core/tesseract-core-simd-lstm.wasm.js?url';

/** Where the reader of text and its English data lie: two thirds of all files, needed for pictures of tables alone. */
export const READER_CORE = corePath;
export const READER_DATA_FOLDER = '/reader';
export const READER_FILES: readonly string[] = [READER_CORE, `${READER_DATA_FOLDER}/eng.traineddata.gz`];
