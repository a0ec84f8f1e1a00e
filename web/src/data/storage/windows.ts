import { lockManager, windowId } from '../../browser/windowId.ts';
import { workshop } from '../../browser/workshop.ts';
import type { StoreName } from './stores.ts';

/** What one window tells the others after it has written. */
export interface Notice {
  store: StoreName;
  key: string;
  kind: 'written' | 'removed';
}

/** None in a browser that has no such channel: each window then knows of the others only by what it reads. */
const channel = 'BroadcastChannel' in globalThis ? new BroadcastChannel(`mellow-probe-${workshop}`) : null;

const callbacks = new Set<(notice: Notice) => void>();
channel?.addEventListener('message', (event: MessageEvent<Notice>) => {
  for (const callback of [...callbacks]) callback(event.data);
});

/** Tells the other windows of this workshop. */
export function tellOthers(notice: Notice): void {
  channel?.postMessage({ ...notice, from: windowId });
}

/** Calls back when another window has written or removed something; returns how to stop. */
export function onOthers(callback: (notice: Notice) => void): () => void {
  callbacks.add(callback);
  return () => callbacks.delete(callback);
}

/** Calls back when another window has written or removed a job; returns how to stop. */
export function onJobsElsewhere(callback: (id: string, kind: Notice['kind']) => void): () => void {
  return onOthers((n) => n.store === 'jobs' && callback(n.key, n.kind));
}

const queues = new Map<string, Promise<unknown>>();

/**
 * One at a time for a key: among all windows where the browser has locks, within this window where it has none (a page over plain HTTP).
 */
export function oneAtATime<T>(key: string, work: () => Promise<T>): Promise<T> {
  const locks = lockManager();
  if (locks) return locks.request(`mellow-probe-${workshop}-${key}`, work);
  const before = queues.get(key) ?? Promise.resolve();
  const mine = before.then(work, work);
  queues.set(
    key,
    mine.catch(() => undefined),
  );
  return mine;
}
