import { effectScope, type Ref, ref, watch } from 'vue';
import type { Origin } from './recordContract.ts';
import { trackedCopy } from './trackedCopy.ts';

/** Turns what is written into a reactive value into changes. */
export interface TypedChanges<T> {
  /** True from the first write of an event to the change that follows from it. */
  readonly dirty: Ref<boolean>;
  /** Makes a change of what was written until now. */
  commit(origin: Origin): void;
  /** Writes into the value as a change of this origin. */
  change(origin: Origin, write: (value: T) => void): void;
  /** Writes into the value so that no change follows. */
  quietly(write: () => void): void;
  /** From now on nothing that is typed becomes a change. */
  stop(): void;
}

/** All writes of one event are one change: `took` gets the value after it as plain data. */
export function typedChanges<T extends object>(value: T, took: (origin: Origin, after: T) => void): TypedChanges<T> {
  const dirty = ref(false);
  let [pending, quiet, stopped] = [false, false, false];
  const tracked = trackedCopy(value, () => {
    if (quiet || pending) return;
    [pending, dirty.value] = [true, true];
  });
  // The rest of this event's writes first: one event, one change. Nothing can be reloaded in between, and nothing is drawn: what does not depend on
  // the change is not drawn for it. In no component's scope: one that is unmounted takes no change with it.
  const committing = effectScope(true);
  committing.run(() => watch(dirty, (written) => written && commit('typed')));

  function commit(origin: Origin): void {
    pending = false;
    if (stopped && origin === 'typed') return;
    took(origin, tracked.copy());
    dirty.value = false;
  }

  function quietly(write: () => void): void {
    quiet = true;
    try {
      write();
    } finally {
      quiet = false;
    }
  }

  return {
    dirty,
    commit,
    quietly,
    change(origin, write) {
      commit('typed');
      quietly(() => write(value));
      commit(origin);
    },
    stop() {
      commit('typed');
      stopped = true;
      tracked.stop();
      committing.stop();
    },
  };
}
