import type { ReaderSymbol, TextReader } from '@mellow-probe/core/intake/picture/readTable';
import { type Page, PSM, type Worker } from 'tesseract.js';

/** A reader of single lines of text on a worker of the library, and how to end it. The page and the studies read alike. */
export async function lineReader(worker: Worker): Promise<{ read: TextReader; stop: () => Promise<unknown> }> {
  await worker.setParameters({ tessedit_pageseg_mode: PSM.SINGLE_LINE });
  let alphabet = '';
  return {
    read: async (file, wanted) => {
      if (wanted !== alphabet) await worker.setParameters({ tessedit_char_whitelist: (alphabet = wanted) });
      // The library takes the bytes of a file; its types do not say so.
      return symbolsOf((await worker.recognize(file as never, {}, { blocks: true })).data);
    },
    stop: () => worker.terminate(),
  };
}

/** All symbols of a page as the library tells them, each at its middle. */
function symbolsOf({ blocks }: Pick<Page, 'blocks'>): ReaderSymbol[] {
  return (blocks ?? [])
    .flatMap((block) => block.paragraphs)
    .flatMap((paragraph) => paragraph.lines)
    .flatMap((line) => line.words)
    .flatMap((word) => word.symbols)
    .map(({ text, bbox }) => ({ text, x: (bbox.x0 + bbox.x1) / 2, y: (bbox.y0 + bbox.y1) / 2 }));
}
