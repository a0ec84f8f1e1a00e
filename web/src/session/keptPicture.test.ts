// @vitest-environment happy-dom
import { keptPictureWords as say } from '@mellow-probe/core/wording/screens/session';
import { beforeEach, expect, test, vi } from 'vitest';
import { effectScope, ref } from 'vue';
import { browser, emptyBrowser, until } from '../../test/browserWindow.ts';

/** What the browser makes of a picture file: a JPEG of this address, or nothing. */
const reader = vi.hoisted(() => ({ address: 'data:image/jpeg;base64,AAEC' as string | null }));
vi.mock('../browser/scaledJpeg.ts', () => ({ scaledJpeg: () => Promise.resolve(reader.address) }));
const { getPhoto } = await import('../data/storage/photoStorage.ts');
const { useKeptPicture } = await import('./keptPicture.ts');

beforeEach(async () => {
  await emptyBrowser();
  reader.address = 'data:image/jpeg;base64,AAEC';
  vi.stubGlobal('createImageBitmap', (blob: Blob) =>
    Promise.resolve({ width: 10 * blob.size, height: 20, close: () => undefined }),
  );
});
const kept = (wanted = ref(true)) => effectScope().run(() => useKeptPicture('table', () => wanted.value))!;

test('a picture is shown at its size and is there at the next visit; removed it is gone', async () => {
  const { picture, open, fault } = kept();
  expect(await open(new Blob(['photo']))).toBe(true);
  expect([picture.value, fault.value]).toMatchObject([{ width: 30, height: 20, address: reader.address }, '']);
  const wanted = ref(false);
  const next = kept(wanted);
  expect(next.picture.value).toBeNull();
  // It is large: it is fetched when it is wanted.
  wanted.value = true;
  await until(() => next.picture.value !== null, 'the picture');
  expect(next.picture.value).toMatchObject({ width: 30, address: reader.address });
  await next.remove();
  expect(next.picture.value).toBeNull();
  expect(await getPhoto('shelf', 'table')).toBeNull();
});
test('a file that is no picture, and one of 41 MB, leave the earlier picture and say why', async () => {
  const { picture, open, fault } = kept();
  await open(new Blob(['photo']));
  const before = picture.value;
  reader.address = null;
  expect(await open(new Blob(['no picture at all']))).toBe(false);
  expect([fault.value, picture.value]).toEqual([say.unreadable, before]);
  reader.address = 'data:image/jpeg;base64,AAEC';
  expect(await open({ size: 41_000_000 } as Blob)).toBe(false);
  expect([fault.value, picture.value]).toEqual([say.tooLarge('41'), before]);
  expect(await open(new Blob(['photo']))).toBe(true);
  expect(fault.value).toBe('');
});
test('a store that is full: the picture is shown, and that it is not saved is said', async () => {
  const { picture, open, fault } = kept();
  browser.refuse = 'full';
  expect(await open(new Blob(['photo']))).toBe(true);
  expect([picture.value !== null, fault.value]).toEqual([true, say.notSaved]);
});
