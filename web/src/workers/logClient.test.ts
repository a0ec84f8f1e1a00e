import { describe, expect, test } from 'vitest';
import { LogStopped, newRoom } from './logClient.ts';

/** A worker that never answers, and counts whether it was ended. */
function silent(): { worker: Worker; ended: () => boolean; fail: (message: string) => void } {
  let ended = false;
  let onError: (event: { message: string }) => void = () => undefined;
  const worker = {
    addEventListener: (kind: string, listener: typeof onError) => {
      if (kind === 'error') onError = listener;
    },
    removeEventListener: () => undefined,
    postMessage: () => undefined,
    terminate: () => void (ended = true),
  } as unknown as Worker;
  return { worker, ended: () => ended, fail: (message) => onError({ message }) };
}

describe('a room for a log', () => {
  test('left while it works, the work ends in the middle', async () => {
    const { worker, ended } = silent();
    const room = newRoom(() => worker);
    const asked = room.ask(() => new Promise(() => undefined));
    room.leave();
    await expect(asked).rejects.toThrow(LogStopped);
    expect(ended()).toBe(true);
  });
  test('left while it rests, one is kept for the next log and a second is not', () => {
    const [first, second] = [silent(), silent()];
    newRoom(() => first.worker).leave();
    newRoom(() => second.worker).leave();
    expect([first.ended(), second.ended()]).toEqual([false, true]);
  });
  test('one that cannot be loaded says so and is not kept', async () => {
    const { worker, fail, ended } = silent();
    const room = newRoom(() => worker);
    const asked = room.ask(() => new Promise(() => undefined));
    fail('');
    await expect(asked).rejects.toThrow('could not be loaded');
    room.leave();
    expect(ended()).toBe(true);
  });
});
