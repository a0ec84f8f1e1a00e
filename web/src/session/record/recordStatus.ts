import { type ShallowRef, shallowRef } from 'vue';
import { guardLeaving } from './leaveGuard.ts';
import type { Keeping } from './recordContract.ts';

/** Whether what was typed is stored, for the screen and for those who write and read. */
export interface RecordStatus {
  readonly keeping: ShallowRef<Keeping>;
  set(next: Keeping): void;
  isLoading(): boolean;
  /** Deleted in another window: nothing is written until a person says so. */
  isRemoved(): boolean;
}

export function recordStatus(name: string, first: Keeping): RecordStatus {
  const keeping = shallowRef(first);
  return {
    keeping,
    set(next) {
      keeping.value = next;
      if (next.kind === 'refused' || next.kind === 'kept') guardLeaving(name, next.kind === 'refused');
    },
    isLoading: () => keeping.value.kind === 'loading',
    isRemoved: () => keeping.value.kind === 'removed-elsewhere',
  };
}
