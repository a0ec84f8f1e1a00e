import type { ReaderSymbol } from '@mellow-probe/core/picture/readTable';
import type { Page } from 'tesseract.js';

/** All symbols of a page as the library tells them, each at its middle. */
export function symbolsOf({ blocks }: Pick<Page, 'blocks'>): ReaderSymbol[] {
  return (blocks ?? [])
    .flatMap((block) => block.paragraphs)
    .flatMap((paragraph) => paragraph.lines)
    .flatMap((line) => line.words)
    .flatMap((word) => word.symbols)
    .map(({ text, bbox }) => ({ text, x: (bbox.x0 + bbox.x1) / 2, y: (bbox.y0 + bbox.y1) / 2 }));
}
