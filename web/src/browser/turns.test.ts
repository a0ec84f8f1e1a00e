// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { beforeEach, expect, test, vi } from 'vitest';
import { type Component, defineComponent, h } from 'vue';

import type * as Turns from './turns.ts';

let turns: typeof Turns;
beforeEach(async () => {
  vi.resetModules();
  vi.restoreAllMocks();
  // Rests at once.
  vi.stubGlobal('requestIdleCallback', (go: () => void) => setTimeout(go));
  turns = await import('./turns.ts');
});

/** A piece that notes when it comes, with pieces of its own. */
const piece = (name: string, came: string[], inner: readonly string[] = []): Component =>
  defineComponent(() => {
    const here = turns.useTurn();
    return () => {
      if (!here.value) return null;
      if (!came.includes(name)) came.push(name);
      return inner.map((one) => h(piece(one, came), { key: one }));
    };
  });

test('where nothing begins a piece is there at once', () => {
  const came: string[] = [];
  mount(piece('a', came));
  expect(came).toEqual(['a']);
});

test('while the page begins pieces come one after the other, those within others too, and then it is begun', async () => {
  const came: string[] = [];
  const parts = [piece('a', came, ['a1', 'a2']), piece('b', came)];
  await turns.inTurns(() => {
    mount(() => parts.map((part) => h(part)));
    expect(came).toEqual([]);
  });
  expect(came).toEqual(['a', 'b', 'a1', 'a2']);
  // At the first rest too they come in turns, after it at once.
  mount(piece('c', came));
  expect(came).not.toContain('c');
  await vi.waitFor(() => expect(came).toContain('c'));
  await vi.waitFor(() => {
    const later: string[] = [];
    mount(piece('d', later));
    expect(later).toEqual(['d']);
  });
});

test('work that lasts is parted: other tasks come between', async () => {
  // From the clock as it is: a thread of tests may have run for minutes.
  let now = performance.now();
  vi.spyOn(performance, 'now').mockImplementation(() => (now += 50));
  const order: string[] = [];
  await turns.inTurns(() => {
    // A message that was sent before: it comes with the first task that is given up, whatever else the machine is at.
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      order.push('a task');
    };
    port2.postMessage(null);
    for (const name of ['a', 'b', 'c', 'd', 'e', 'f']) mount(piece(name, order));
  });
  expect(order.indexOf('a task')).toBeGreaterThanOrEqual(0);
  expect(order.indexOf('a task')).toBeLessThan(order.indexOf('f'));
});

test('the first screen is there when it has what it shows; a store that never answers does not hold it', async () => {
  let answer = (): void => undefined;
  let begun = false;
  const beginning = turns
    .inTurns(() => void turns.toBeShown(new Promise<void>((resolve) => (answer = resolve))))
    .then(() => (begun = true));
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(begun).toBe(false);
  answer();
  await beginning;

  vi.useFakeTimers();
  const silent = turns.inTurns(() => {
    void turns.toBeShown(new Promise(() => undefined));
    void turns.toBeShown(Promise.reject(new Error('no store')));
  });
  await vi.advanceTimersByTimeAsync(1000);
  await silent;
  vi.useRealTimers();
});

test('what is fetched is handed on, and what could not be loaded is said', async () => {
  expect(await turns.apart(() => Promise.resolve(7))).toBe(7);
  await expect(turns.apart(() => Promise.reject(new Error('gone')))).rejects.toThrow('gone');
});
