// @vitest-environment happy-dom
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { drawSoon } from './drawQueue.ts';

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
