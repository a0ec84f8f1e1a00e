import { type ColourPicture, grayOf, type GrayPicture } from '@mellow-probe/core/intake/picture/grayPicture';
import { followLine } from '@mellow-probe/core/intake/picture/followLine';
import { snapToLines } from '@mellow-probe/core/intake/picture/snapToLines';
import {
  type PreparedTable,
  prepareTable,
  readTable,
  type TableRead,
} from '@mellow-probe/core/intake/picture/readTable';
import { type Corners, type Spot, straightenedColour } from '@mellow-probe/core/intake/picture/straighten';
import { READER_CORE, READER_DATA_FOLDER } from './readerFiles.ts';
import workerPath from 'tesseract.js/dist/worker.min.js?url';
import * as Comlink from 'comlink';
import { createWorker, OEM } from 'tesseract.js';
import { lineReader } from './lineReader.ts';

/** What reading a picture is at: fetching the reader (only the first time), or reading, with the share done. */
export interface PictureProgress {
  step: 'fetching' | 'reading';
  share: number;
}

/** Everything that is done with a picture of a table or a diagram, off the page's own thread. */
export const pictureWork = {
  /** The page between the corners, straight and level, with the places of its cells. */
  async prepare(image: Blob, corners: Corners): Promise<PreparedTable> {
    const prepared = prepareTable(await grayImage(image), corners);
    return Comlink.transfer(prepared, [prepared.page.data.buffer]);
  },
  /** Reads the table between the corners. Rejects where the reader cannot be loaded. */
  async read(
    image: Blob,
    corners: Corners,
    progress: (p: PictureProgress) => void,
  ): Promise<{ table: TableRead; page: GrayPicture }> {
    const prepared = prepareTable(await grayImage(image), corners);
    progress({ step: 'fetching', share: 0 });
    const reader = await textReader();
    try {
      progress({ step: 'reading', share: 0 });
      const table = await readTable(prepared, reader.read, (share) => progress({ step: 'reading', share }));
      return Comlink.transfer({ table, page: prepared.page }, [prepared.page.data.buffer]);
    } finally {
      await reader.stop();
    }
  },
  /** The line of a diagram that was tapped, followed by its colour; null where that is no line of its own. */
  async follow(image: Blob, from: Spot): Promise<Spot[] | null> {
    return followLine(await colours(image), from);
  },
  /** The part of a photo between the corners, seen from straight above, as a picture of its own. */
  async straighten(image: Blob, corners: Corners): Promise<Blob> {
    const { width, height, data } = straightenedColour(await colours(image), corners);
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')!.putImageData(new ImageData(data, width, height), 0, 0);
    return canvas.convertToBlob({ type: 'image/png' });
  },
  /** A cross on the printed lines that are near it. */
  async snap(image: Blob, cross: Spot): Promise<Spot> {
    const gray = await grayImage(image);
    return snapToLines(gray, cross, Math.max(6, Math.round(gray.width / SNAP_SHARE)));
  },
};
/** A cross snaps to a line that is within this part of the picture's width. */
const SNAP_SHARE = 100;
export type PictureWork = typeof pictureWork;

async function colours(image: Blob): Promise<ColourPicture> {
  const bitmap = await createImageBitmap(image);
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  return { width, height, data: context.getImageData(0, 0, width, height).data };
}

async function grayImage(image: Blob): Promise<GrayPicture> {
  const { width, height, data: bytes } = await colours(image);
  return grayOf(bytes, width, height);
}

/** The reader of text, from files that ship with the page: no address but our own is asked. `vite.config.ts` puts its data under /reader. */
async function textReader(): ReturnType<typeof lineReader> {
  const paths = { workerPath, corePath: READER_CORE, langPath: READER_DATA_FOLDER };
  return lineReader(await createWorker('eng', OEM.LSTM_ONLY, { ...paths, workerBlobURL: false, cacheMethod: 'none' }));
}
