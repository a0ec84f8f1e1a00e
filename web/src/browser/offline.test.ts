import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { followUpdates, updateFailed } from './offline.ts';

/** A worker and a registration, as far as following them needs. */
class FakeWorker extends EventTarget {
  state: ServiceWorkerState = 'installing';
  become(state: ServiceWorkerState): void {
    this.state = state;
    this.dispatchEvent(new Event('statechange'));
  }
}
class FakeRegistration extends EventTarget {
  installing: FakeWorker | null = null;
  active: FakeWorker | null = new FakeWorker();
  find(): FakeWorker {
    this.installing = new FakeWorker();
    this.dispatchEvent(new Event('updatefound'));
    return this.installing;
  }
}
let registration: FakeRegistration;
beforeEach(() => {
  vi.useFakeTimers();
  updateFailed.value = false;
  registration = new FakeRegistration();
  followUpdates(registration as unknown as ServiceWorkerRegistration);
});
afterEach(() => vi.useRealTimers());

test('an update that comes whole is no failure, not even when a later one replaces it', () => {
  const worker = registration.find();
  vi.advanceTimersByTime(29_000);
  worker.become('installed');
  vi.advanceTimersByTime(60_000);
  expect(updateFailed.value).toBe(false);
  worker.become('redundant');
  expect(updateFailed.value).toBe(false);
});
test('one that is thrown away before it is whole has failed; the next that comes whole takes it back', () => {
  registration.find().become('redundant');
  expect(updateFailed.value).toBe(true);
  const next = registration.find();
  expect(updateFailed.value).toBe(false);
  next.become('installed');
  expect(updateFailed.value).toBe(false);
});
test('one that does not end is said after 30 s, and taken back when it ends after all', () => {
  const worker = registration.find();
  vi.advanceTimersByTime(29_999);
  expect(updateFailed.value).toBe(false);
  vi.advanceTimersByTime(1);
  expect(updateFailed.value).toBe(true);
  worker.become('installed');
  expect(updateFailed.value).toBe(false);
});
test('the first copy of all says so by itself', () => {
  registration.active = null;
  registration.find().become('redundant');
  expect(updateFailed.value).toBe(false);
});
