// @vitest-environment happy-dom
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { effectScope, nextTick, ref } from 'vue';
import { drawSoon } from './drawQueue.ts';
import { useAfterTyping } from './useAfterTyping.ts';

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'requestAnimationFrame', 'performance'] }));
afterEach(() => void vi.useRealTimers());
const type = (): boolean => window.dispatchEvent(new Event('input'));

test('one drawing a frame, the newest of each', () => {
  const drawn: string[] = [];
  const [a, b] = [{}, {}];
  drawSoon(a, () => drawn.push('a, old'));
  drawSoon(b, () => drawn.push('b'));
  drawSoon(a, () => drawn.push('a'));
  expect(drawn).toEqual([]);
  vi.advanceTimersByTime(20);
  expect(drawn).toEqual(['a']);
  vi.advanceTimersByTime(60);
  expect(drawn).toEqual(['a', 'b']);
});

test('while somebody types nothing is drawn; a rest later it is, once', () => {
  const drawn: number[] = [];
  const key = {};
  for (let i = 0; i < 5; i++) {
    type();
    drawSoon(key, () => drawn.push(i));
    vi.advanceTimersByTime(150);
  }
  expect(drawn).toEqual([]);
  vi.advanceTimersByTime(400);
  expect(drawn).toEqual([4]);
});

test('what follows from what is typed is there at first, follows a rest later, and no longer when its part is gone', async () => {
  const typed = ref('a');
  const scope = effectScope();
  const shown = scope.run(() => useAfterTyping(() => typed.value.toUpperCase()))!;
  expect(shown.value).toBe('A');
  for (const text of ['ab', 'abc']) {
    type();
    typed.value = text;
    await nextTick();
    vi.advanceTimersByTime(150);
    expect(shown.value).toBe('A');
  }
  vi.advanceTimersByTime(400);
  expect(shown.value).toBe('ABC');
  scope.stop();
  typed.value = 'late';
  await nextTick();
  vi.advanceTimersByTime(400);
  expect(shown.value).toBe('ABC');
});
