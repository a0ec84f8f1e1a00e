import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { effect, effectScope, type ReactiveEffectRunner, stop, toRaw } from 'vue';

/** Reads everything in it, so that whoever runs this hears of every write to it. */
function walk(value: unknown): void {
  if (typeof value === 'object' && value !== null) for (const part of Object.values(value)) walk(part);
}

/** What is read of a value, and read anew when it is asked for after a write to it. */
interface Followed<V> {
  now: () => V;
  runner: ReactiveEffectRunner;
}

function followed<V>(read: () => V, written: () => void): Followed<V> {
  let [last, fresh] = [undefined as V, false];
  const runner = effect(() => ([last, fresh] = [read(), true]), {
    scheduler() {
      fresh = false;
      written();
    },
  });
  return {
    now() {
      if (!fresh) runner();
      return last;
    },
    runner,
  };
}

/**
 * Plain copies of a reactive value, each of its fields copied anew only where it was written to since the last one: fields that were not are shared
 * by the copies, which nobody writes into. `written` is called at every write. A deep watcher would walk the whole value again at every single
 * write; this walks one field once for all that an event writes in it. Once it is stopped, or its scope is, it hears of nothing, and every copy is a
 * new one.
 */
export function trackedCopy<T extends object>(value: T, written: () => void): { copy: () => T; stop: () => void } {
  const scope = effectScope();
  let whole: T | null = null;
  const change = (): void => {
    whole = null;
    written();
  };
  const follow = <V>(read: () => V): Followed<V> => scope.run(() => followed(read, change))!;
  const fields = new Map<string, Followed<unknown>>();
  const names = follow(() => Object.keys(value));

  function field(name: string): unknown {
    const known = fields.get(name);
    if (known) return known.now();
    const found = follow(() => {
      walk((value as Record<string, unknown>)[name]);
      return plainCopy((toRaw(value) as Record<string, unknown>)[name]);
    });
    fields.set(name, found);
    return found.now();
  }

  function copy(): T {
    if (!scope.active) return plainCopy(toRaw(value));
    if (whole) return whole;
    const here = names.now();
    for (const [name, { runner }] of fields) {
      if (here.includes(name)) continue;
      stop(runner);
      fields.delete(name);
    }
    whole = Object.fromEntries(here.map((name) => [name, field(name)]).filter(([, part]) => part !== undefined)) as T;
    return whole;
  }
  copy();
  return { copy, stop: () => scope.stop() };
}
