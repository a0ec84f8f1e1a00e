import { ref } from 'vue';
import { Workbox } from 'workbox-window';

/**
 * The program without its server: a service worker keeps every part. Over plain HTTP from another device a browser gives none; then everything works as
 * long as the server answers.
 */
export type Offline = 'not-here' | 'fetching' | 'ready' | 'failed';
export const offline = ref<Offline>('not-here');
/** A newer version lies ready. It is taken when the technician says so, never by itself. */
export const newVersion = ref(false);

let worker: Workbox | null = null;

/** Has every part fetched and kept. Called once the page rests. */
export async function goOffline(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  worker = new Workbox('/offline.js');
  offline.value = 'fetching';
  worker.addEventListener('activated', () => (offline.value = 'ready'));
  worker.addEventListener('waiting', () => (newVersion.value = true));
  // Asked for by this window: the page is opened anew, with what was typed.
  worker.addEventListener('controlling', (event) => {
    if (event.isUpdate && taking) window.location.reload();
  });
  try {
    const registration = await worker.register();
    if (registration?.active) offline.value = 'ready';
    else if (!registration) offline.value = 'failed';
  } catch {
    // The server has none, or the browser's settings forbid it.
    offline.value = 'failed';
  }
}

let taking = false;
/** Takes the newer version: the page is opened anew. */
export function takeNewVersion(): void {
  taking = true;
  worker?.messageSkipWaiting();
}

/** Asks the server whether there is a newer version; without it nothing happens. */
export async function askForNewVersion(): Promise<void> {
  await worker?.update().catch(() => undefined);
}
