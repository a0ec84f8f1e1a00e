import 'fake-indexeddb/auto';
import localforage from 'localforage';
import { createPinia, setActivePinia } from 'pinia';
import { vi } from 'vitest';

/**
 * Windows of one browser for tests: the real storage code on fake-indexeddb, with locks and channels between windows, and a store that can be
 * slow, full, broken or silent.
 */
export const browser = {
  /** Awaited before every operation of a store. */
  delay: (): Promise<void> => Promise.resolve(),
  /** What goes wrong with a write: 'full' or 'blocked'. */
  refuse: null as null | 'full' | 'blocked',
  /** In which store alone; null: in all. */
  refuseIn: null as string | null,
  /** What goes wrong with opening a store. */
  opening: null as null | 'fails' | 'silent',
};

interface Held {
  name: string;
  owner: object;
}
let held: Held[] = [];
let queue: (() => void)[] = [];

function fakeLocks(owner: object): LockManager {
  const request = async (name: string, work: () => Promise<unknown>): Promise<unknown> => {
    while (held.some((l) => l.name === name)) await new Promise<void>((resolve) => queue.push(resolve));
    const lock = { name, owner };
    held.push(lock);
    try {
      return await work();
    } finally {
      held = held.filter((l) => l !== lock);
      release();
    }
  };
  return { request, query: () => Promise.resolve({ held: [...held], pending: [] }) } as unknown as LockManager;
}
function release(): void {
  const waiting = queue;
  queue = [];
  waiting.forEach((go) => go());
}

const create = localforage.createInstance.bind(localforage);
localforage.createInstance = (options) => {
  if (browser.opening === 'fails')
    return broken(() => Promise.reject(new DOMException('cannot open', 'InvalidStateError')));
  if (browser.opening === 'silent') return broken(() => new Promise(() => undefined));
  const store = create(options);
  made.add(store);
  const watched = new Set(['getItem', 'setItem', 'removeItem', 'iterate', 'keys']);
  // By proxy: the library puts its driver's functions in place when it is ready.
  return new Proxy(store, {
    get(target, name: keyof LocalForage) {
      const real = Reflect.get(target, name) as unknown;
      if (typeof real !== 'function') return real;
      if (!watched.has(name)) return (real as () => unknown).bind(target) as unknown;
      return async (...args: unknown[]) => {
        underWay++;
        try {
          await browser.delay();
          if (name === 'setItem' && browser.refuse && (browser.refuseIn ?? options.storeName) === options.storeName)
            throw new DOMException('refused', browser.refuse === 'full' ? 'QuotaExceededError' : 'InvalidStateError');
          return await (target[name] as (...all: unknown[]) => unknown)(...args);
        } finally {
          underWay--;
        }
      };
    },
  });
};
const made = new Set<LocalForage>();
const broken = (ready: () => Promise<never>): LocalForage => ({ ready }) as unknown as LocalForage;

// Channels of Node reach into every thread: without a name of its own, a test file would hear the windows of the files beside it.
const thisBrowser = crypto.randomUUID();
const Channel = BroadcastChannel;
globalThis.BroadcastChannel = class extends Channel {
  constructor(name: string) {
    super(`${thisBrowser} ${name}`);
  }
};

/** Operations of stores that have not ended, and the real clock, whatever a test does to it. */
let underWay = 0;
const realTimeout = setTimeout;

/** Is nothing being written, and nothing in a journal that the store does not have yet? */
const atRest = (): boolean => underWay === 0 && !Object.keys(localStorage).some((key) => key.includes('.ahead.'));

/** Waits until what closed windows still had to write has landed; what never ends is not waited for. */
async function storesAtRest(): Promise<void> {
  for (let [quiet, turns] = [0, 0]; quiet < 3 && turns < 200; turns++) {
    await new Promise((resolve) => void realTimeout(resolve));
    quiet = atRest() ? quiet + 1 : 0;
  }
}

/** An empty browser: no stores, no windows. */
export async function emptyBrowser(): Promise<void> {
  await storesAtRest();
  Object.assign(browser, { delay: () => Promise.resolve(), refuse: null, refuseIn: null, opening: null });
  for (const store of made) await store.clear();
  localStorage.clear();
  sessionStorage.clear();
  held = [];
  queue = [];
}

/** The program's modules as one window has them. */
export async function openWindow(options: { locks?: boolean } = {}) {
  const owner = {};
  Object.defineProperty(navigator, 'locks', {
    value: options.locks === false ? undefined : fakeLocks(owner),
    configurable: true,
  });
  vi.resetModules();
  const pinia = createPinia();
  setActivePinia(pinia);
  const window = {
    ahead: await import('../src/data/storage/ahead.ts'),
    bench: await import('../src/session/bench.ts'),
    curves: await import('../src/session/curves.ts'),
    door: await import('../src/data/storage/door.ts'),
    draft: await import('../src/session/draft.ts'),
    history: await import('../src/data/storage/historyStorage.ts'),
    jobs: await import('../src/data/stores/jobs/jobs.ts'),
    jobStorage: await import('../src/data/storage/jobStorage.ts'),
    kit: await import('../src/session/kit.ts'),
    ledger: await import('../src/data/storage/ledger.ts'),
    photos: await import('../src/data/storage/photoStorage.ts'),
    practice: await import('../src/session/practice.ts'),
    record: await import('../src/session/record/record.ts'),
    stores: await import('../src/data/storage/stores.ts'),
    training: await import('../src/data/stores/training.ts'),
    windows: await import('../src/data/storage/windows.ts'),
    windowId: (await import('../src/browser/windowId.ts')).windowId,
  };
  // Fetched now, or it would be that of the window opened last.
  await (await import('../src/data/stores/jobs/wholeJobs.ts')).wholeJobs();
  return {
    ...window,
    pinia,
    /** The window is gone, as by a kill: its locks fall, nothing of it runs on purpose any more. */
    die(): void {
      held = held.filter((l) => l.owner !== owner);
      release();
    },
  };
}
export type BrowserWindow = Awaited<ReturnType<typeof openWindow>>;

/** Waits until a condition holds; fails after four thousand looks, so that a slow machine has its time. */
export async function until(holds: () => boolean | Promise<boolean>, what = 'a condition'): Promise<void> {
  for (let i = 0; i < 4000; i++) {
    if (await holds()) return;
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  throw new Error(`until: ${what} did not come true`);
}
