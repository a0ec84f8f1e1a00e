import { onBeforeUnmount, onMounted } from 'vue';

/** What is used of the browser's wake lock; absent over plain HTTP and in older browsers. */
interface Lock {
  release(): Promise<void>;
}
interface Locks {
  request(type: 'screen'): Promise<Lock>;
}

/** Keeps the screen awake while a component is shown: both hands hold probes. Where the browser cannot, or refuses, nothing happens. */
export function useWakeLock(): void {
  const locks = (navigator as { wakeLock?: Locks }).wakeLock;
  if (!locks) return;
  let lock: Lock | null = null;
  let gone = false;
  /** The browser lets go when the page is hidden; it is asked again when the page comes back. */
  async function hold(): Promise<void> {
    if (document.visibilityState !== 'visible') return;
    try {
      const got = await locks!.request('screen');
      if (gone) await got.release();
      else lock = got;
    } catch {
      // A battery that runs low, or a setting: the user's business.
    }
  }
  const again = (): void => void hold();
  onMounted(() => {
    again();
    document.addEventListener('visibilitychange', again);
  });
  onBeforeUnmount(() => {
    gone = true;
    document.removeEventListener('visibilitychange', again);
    void lock?.release().catch(() => undefined);
  });
}
