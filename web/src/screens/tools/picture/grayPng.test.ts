// @vitest-environment happy-dom
import { grayPngWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import { expect, test, vi } from 'vitest';
import { grayPng } from './grayPng.ts';

test('each gray becomes red, green and blue without transparency; no picture without memory', async () => {
  const put: { data: Uint8ClampedArray }[] = [];
  let file: Blob | null = new Blob(['png']);
  const canvas = {
    getContext: () => ({
      createImageData: (w: number, h: number) => ({ data: new Uint8ClampedArray(4 * w * h) }),
      putImageData: (image: (typeof put)[number]) => void put.push(image),
    }),
    toBlob: (done: (blob: Blob | null) => void) => done(file),
  } as unknown as HTMLCanvasElement;
  vi.spyOn(document, 'createElement').mockReturnValue(canvas);
  const picture = { width: 3, height: 1, data: new Uint8Array([0, 128, 255]) };
  expect(await grayPng(picture)).toBe(file);
  expect([canvas.width, canvas.height]).toEqual([3, 1]);
  expect([...put[0].data]).toEqual([0, 0, 0, 255, 128, 128, 128, 255, 255, 255, 255, 255]);
  file = null;
  await expect(grayPng(picture)).rejects.toThrow(say.noRoom);
});
