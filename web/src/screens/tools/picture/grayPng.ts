import { grayPngWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import type { GrayPicture } from '@mellow-probe/core/intake/picture/grayPicture';

/** A gray picture as a file that the page can show. */
export async function grayPng({ width, height, data }: GrayPicture): Promise<Blob> {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d')!;
  const image = context.createImageData(width, height);
  for (let i = 0; i < data.length; i++) {
    image.data.fill(data[i], 4 * i, 4 * i + 3);
    image.data[4 * i + 3] = 255;
  }
  context.putImageData(image, 0, 0);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error(say.noRoom))), 'image/png'),
  );
}
