// The reader of text as the studies and tests use it: the same program and data that the page ships, in Node.
import { createRequire } from 'node:module';
import path from 'node:path';
import { createWorker, PSM } from 'tesseract.js';
import type { TextReader } from '../core/src/picture/readTable.ts';
import { symbolsOf } from '../web/src/workers/symbols.ts';

/** A reader and how to end it. */
export async function textReader(): Promise<{ read: TextReader; stop: () => Promise<unknown> }> {
  const data = createRequire(import.meta.url).resolve('@tesseract.js-data/eng/package.json');
  const worker = await createWorker('eng', 1, {
    langPath: path.join(path.dirname(data), '4.0.0_best_int'),
    cacheMethod: 'none',
  });
  await worker.setParameters({ tessedit_pageseg_mode: PSM.SINGLE_LINE });
  let alphabet = '';
  return {
    read: async (file, wanted) => {
      if (wanted !== alphabet) await worker.setParameters({ tessedit_char_whitelist: (alphabet = wanted) });
      return symbolsOf((await worker.recognize(Buffer.from(file), {}, { blocks: true })).data);
    },
    stop: () => worker.terminate(),
  };
}
