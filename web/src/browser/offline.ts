import { ref } from 'vue';
import { Workbox } from 'workbox-window';

/**
 * The program without its server: a service worker keeps every part. Over plain HTTP from another device a browser gives none; then everything works as
 * long as the server answers.
 */
export type Offline = 'not-here' | 'saving' | 'fetching' | 'ready' | 'failed';
export const offline = ref<Offline>('not-here');
/** A newer version lies ready. It is taken when the technician says so, never by itself. */
export const newVersion = ref(false);

/** The newer version could not be fetched whole: the one in use stays, and it can be tried again. */
export const updateFailed = ref(false);

let worker: Workbox | null = null;

/** Has the reader asked the browser to spare data? */
const savesData = (): boolean =>
  (navigator as Navigator & { connection?: { saveData?: boolean } }).connection?.saveData === true;

/**
 * Has every part fetched and kept. Called once the page rests. False where no worker can do it. Where data are to be spared nothing is fetched before it
 * is `asked` for.
 */
export async function goOffline(asked = false): Promise<boolean> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return false;
  if (savesData() && !asked && !(await navigator.serviceWorker.getRegistration())) {
    offline.value = 'saving';
    return true;
  }
  worker = new Workbox('/offline.js');
  offline.value = 'fetching';
  worker.addEventListener('activated', () => (offline.value = 'ready'));
  worker.addEventListener('waiting', () => (newVersion.value = true));
  // Asked for by this window: the page is opened anew, with what was typed. Not workbox's own event: it knows no update of a page the first worker claimed.
  navigator.serviceWorker.addEventListener('controllerchange', openTaken);
  try {
    const registration = await worker.register();
    // Asked for before this page was opened. Without one waiting it came into charge meanwhile: of which version this page's parts are is not known.
    if (registration?.waiting && isTaking()) worker.messageSkipWaiting();
    else openTaken();
    if (registration) followUpdates(registration);
    if (registration?.active) offline.value = 'ready';
    else if (!registration) offline.value = 'failed';
    return registration !== undefined;
  } catch {
    // The server has none, or the browser's settings forbid it.
    offline.value = 'failed';
    return false;
  }
}

/**
 * Takes the newer version: the page is opened anew. The old worker may stay in charge, for minutes, while it is busy with this page; after some seconds
 * the page is opened anew all the same and asks again.
 */
export function takeNewVersion(): void {
  sessionStorage.setItem(TAKING, '1');
  worker?.messageSkipWaiting();
  setTimeout(() => window.location.reload(), TOO_LONG);
}
/** Kept over the opening anew. */
const TAKING = 'mellow-probe-taking';
const TOO_LONG = 4000;
const isTaking = (): boolean => sessionStorage.getItem(TAKING) !== null;
/** Opens the page anew if this window has asked for the newer version. */
function openTaken(): void {
  if (!isTaking()) return;
  sessionStorage.removeItem(TAKING);
  window.location.reload();
}

/** Are these files kept for use without the server? */
export async function areKept(files: readonly string[]): Promise<boolean> {
  if (!('caches' in window)) return false;
  const found = await Promise.all(files.map((file) => caches.match(file, { ignoreVary: true })));
  return found.every((f) => f !== undefined);
}

/** Has files kept by the worker, each by fetching it once. Rejects where one does not come. */
export async function keep(files: readonly string[]): Promise<void> {
  for (const file of files) {
    const response = await fetch(file);
    if (!response.ok) throw new Error(`${file}: ${response.status}`);
    await response.arrayBuffer();
  }
}

/** An update that is not complete after so long has failed, ms: some part of it does not come. */
const UPDATE_MS = 30_000;

/** Says when an update of the offline copy fails, or does not end; the first copy of all says so by itself. */
export function followUpdates(registration: ServiceWorkerRegistration): void {
  registration.addEventListener('updatefound', () => {
    const { installing, active } = registration;
    if (!installing || !active) return;
    updateFailed.value = false;
    const late = setTimeout(() => (updateFailed.value = true), UPDATE_MS);
    let complete = false;
    installing.addEventListener('statechange', () => {
      if (installing.state === 'installing') return;
      clearTimeout(late);
      // Thrown away before it was ever complete; one that is complete and later replaced was no failure.
      updateFailed.value = installing.state === 'redundant' && !complete;
      complete = true;
    });
  });
}

/** Asks the server whether there is a newer version; without it nothing happens. */
export async function askForNewVersion(): Promise<void> {
  updateFailed.value = false;
  await worker?.update().catch(() => undefined);
}
