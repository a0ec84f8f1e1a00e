import { useWorkWords as say } from '@mellow-probe/core/wording/screens/safe';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { expect, test } from 'vitest';
import { StorageError } from '../../data/storage/storageError.ts';
import { useWork } from './useWork.ts';

test('one piece of work at a time, with how far it has come; then it can begin anew', async () => {
  const { share, onProgress, run } = useWork();
  expect(share.value).toBeNull();
  let end: (value: string) => void = () => undefined;
  const first = run(() => new Promise<string>((resolve) => (end = resolve)));
  expect(share.value).toBe(0);
  onProgress(1, 4);
  expect(share.value).toBe(0.25);
  onProgress(0, 0);
  expect(share.value).toBe(1);
  expect(await run(() => Promise.resolve('second'))).toBeUndefined();
  end('first');
  expect([await first, share.value]).toEqual(['first', null]);
  expect(await run(() => Promise.resolve('third'))).toBe('third');
});
test.each([
  [new DOMException('x', 'AbortError'), say.brokenOff],
  [new StorageError('full', ''), storageFaultText('full')],
  [new Error('no such file'), 'no such file'],
])('what failed says why, and the next piece begins without it (%#)', async (error, words) => {
  const { share, fault, run } = useWork();
  expect(await run(() => Promise.reject(error))).toBeUndefined();
  expect([fault.value, share.value]).toEqual([words, null]);
  await run(() => Promise.resolve());
  expect(fault.value).toBe('');
});
