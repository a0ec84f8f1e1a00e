// @vitest-environment happy-dom
import { expect, test } from 'vitest';
import { fileIn } from './folder.ts';

/** A folder of a disk that takes files, where it is allowed; without a question where it needs none. */
function folder(permission?: PermissionState) {
  const written: [name: string, bytes: number][] = [];
  const handle = {
    ...(permission && { requestPermission: () => Promise.resolve(permission) }),
    getFileHandle: (name: string, options: object) => {
      expect(options).toEqual({ create: true });
      const sink = { write: (bytes: Uint8Array) => void written.push([name, bytes.length]) };
      return Promise.resolve({ createWritable: () => Promise.resolve(new WritableStream<Uint8Array>(sink)) });
    },
  };
  return { handle: handle as unknown as FileSystemDirectoryHandle, written };
}

test.each([undefined, 'granted', 'prompt'] as const)(
  'a file in a folder is written where it is allowed (%s)',
  async (permission) => {
    const { handle, written } = folder(permission);
    const file = (await fileIn(handle, 'backup.zip')).getWriter();
    await file.write(new Uint8Array(3));
    await file.close();
    expect(written).toEqual([['backup.zip', 3]]);
  },
);
test('where it is not allowed nothing is written', async () => {
  const { handle, written } = folder('denied');
  await expect(fileIn(handle, 'backup.zip')).rejects.toThrow('The folder was not allowed.');
  expect(written).toEqual([]);
});
