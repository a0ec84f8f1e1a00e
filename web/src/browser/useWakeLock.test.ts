// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { afterEach, expect, test, vi } from 'vitest';
import { defineComponent } from 'vue';
import { useWakeLock } from './useWakeLock.ts';

const bench = defineComponent({ setup: () => (useWakeLock(), () => null) });
const give = (wakeLock: unknown): void =>
  void Object.defineProperty(navigator, 'wakeLock', { value: wakeLock, configurable: true });
const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));
afterEach(() => give(undefined));

test('the screen is held awake while the bench is shown, asked again when the page comes back, let go after', async () => {
  const release = vi.fn(() => Promise.resolve());
  const request = vi.fn(() => Promise.resolve({ release }));
  give({ request });
  const shown = mount(bench);
  await settled();
  expect(request).toHaveBeenCalledWith('screen');
  document.dispatchEvent(new Event('visibilitychange'));
  await settled();
  expect(request).toHaveBeenCalledTimes(2);
  shown.unmount();
  expect(release).toHaveBeenCalledTimes(1);
  document.dispatchEvent(new Event('visibilitychange'));
  expect(request).toHaveBeenCalledTimes(2);
});

test('a lock that comes after the bench was left is let go at once', async () => {
  const release = vi.fn(() => Promise.resolve());
  give({ request: () => Promise.resolve({ release }) });
  mount(bench).unmount();
  await settled();
  expect(release).toHaveBeenCalledTimes(1);
});

test('where the browser refuses or has none, nothing happens', async () => {
  give({ request: () => Promise.reject(new Error('battery low')) });
  const refused = mount(bench);
  await settled();
  refused.unmount();
  give(undefined);
  mount(bench).unmount();
  await settled();
});
