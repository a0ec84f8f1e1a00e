import { plainCopy } from '@mellow-probe/core/records/plainData';
import { effect, stop, toRaw } from 'vue';

/** Reads everything in it, so that whoever runs this hears of every write to it. */
function walk(value: unknown): void {
  if (typeof value === 'object' && value !== null) for (const part of Object.values(value)) walk(part);
}

/**
 * Plain copies of a reactive value, made anew only where it was written to since the last one; `written` is called at every write. A deep watcher
 * would walk the whole value again at every single write; this walks it once for all that an event writes. Once it is stopped, or its scope is, it
 * hears of nothing, and every copy is a new one.
 */
export function trackedCopy<T extends object>(value: T, written: () => void): { copy: () => T; stop: () => void } {
  let hears = true;
  let copy: T | null = null;
  const follow = effect(() => walk(value), {
    scheduler() {
      copy = null;
      written();
    },
    onStop: () => (hears = false),
  });
  return {
    copy() {
      if (hears && copy) return copy;
      if (hears) follow();
      return (copy = plainCopy(toRaw(value)));
    },
    stop: () => stop(follow),
  };
}
