import { newId } from './newId.ts';

const KEY = 'mellow-probe.window';

/**
 * This window's name among the windows of the browser: the same after a reload, another in a window that was doubled (a doubled window takes a
 * copy of the page's session with it, but cannot take the lock). `alive` says which windows are open; null where the browser cannot tell.
 */
export const windowId: string = sessionName();

function sessionName(): string {
  try {
    const known = sessionStorage.getItem(KEY);
    if (
      known !== null &&
      performance.getEntriesByType('navigation').some((n) => (n as PerformanceNavigationTiming).type === 'reload')
    )
      return known;
    const fresh = newId();
    sessionStorage.setItem(KEY, fresh);
    return fresh;
  } catch {
    return newId();
  }
}

/** Does a window of this name live? null: the browser cannot tell (a page over plain HTTP). */
export async function windowLives(id: string): Promise<boolean | null> {
  const locks = lockManager();
  if (!locks) return null;
  const { held = [] } = await locks.query();
  return held.some((lock) => lock.name === lockName(id));
}

/** The browser's locks between windows; null where there are none. */
export function lockManager(): LockManager | null {
  return (navigator as { locks?: LockManager }).locks ?? null;
}

const lockName = (id: string): string => `mellow-probe-window-${id}`;

// Held as long as this window lives: so others know whether what it left behind is still in hand.
void lockManager()
  ?.request(lockName(windowId), () => new Promise(() => undefined))
  .catch(() => undefined);
