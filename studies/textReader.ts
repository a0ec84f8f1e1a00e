// The reader of text as the studies use it: the same program and data that the page ships, in Node.
import { createRequire } from 'node:module';
import path from 'node:path';
import { createWorker, OEM } from 'tesseract.js';
import { lineReader } from '../web/src/workers/lineReader.ts';

/** A reader and how to end it. */
export async function textReader(): ReturnType<typeof lineReader> {
  const data = createRequire(import.meta.url).resolve('@tesseract.js-data/eng/package.json');
  const langPath = path.join(path.dirname(data), '4.0.0_best_int');
  return lineReader(await createWorker('eng', OEM.LSTM_ONLY, { langPath, cacheMethod: 'none' }));
}
