// @vitest-environment happy-dom
import { afterEach, expect, test, vi } from 'vitest';
import { canShareFiles, shareFile } from './shareFile.ts';

afterEach(() => vi.unstubAllGlobals());
const blob = new Blob(['%PDF'], { type: 'application/pdf' });
const browser = (over: Partial<Navigator>): void => void vi.stubGlobal('navigator', over);

test('a browser that shares no files says so', () => {
  browser({});
  expect(canShareFiles()).toBe(false);
  browser({ canShare: (data?: ShareData) => !data?.files });
  expect(canShareFiles()).toBe(false);
  browser({ canShare: () => true });
  expect(canShareFiles()).toBe(true);
});
test('the file goes out under its name; a sheet that was closed is no failure, a refusal is', async () => {
  const share = vi.fn<(data?: ShareData) => Promise<void>>().mockResolvedValue(undefined);
  browser({ share });
  expect(await shareFile('2026-03-01 Winch.pdf', blob)).toBe(true);
  const [sent] = share.mock.calls[0][0]!.files!;
  expect([sent.name, sent.type, sent.size]).toEqual(['2026-03-01 Winch.pdf', 'application/pdf', 4]);
  share.mockRejectedValue(Object.assign(new Error('closed'), { name: 'AbortError' }));
  expect(await shareFile('x.pdf', blob)).toBe(false);
  share.mockRejectedValue(Object.assign(new Error('not allowed'), { name: 'NotAllowedError' }));
  await expect(shareFile('x.pdf', blob)).rejects.toThrow('not allowed');
});
