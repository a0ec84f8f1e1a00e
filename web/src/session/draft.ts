import { computed, onScopeDispose, type Ref, type WritableComputedRef } from 'vue';
import type { z } from 'zod';
import { shelfDoor } from '../data/storage/shelfStorage.ts';
import type { StorageFault } from '../data/storage/storageError.ts';
import { persistedRecord } from './record/record.ts';

/**
 * What is typed into a tool of the shelf, kept through reloads under a key. What is stored and no longer fits the schema is replaced with the
 * first thing typed. `fault` says when the browser does not keep it.
 */
export function useDraft<T extends object>(
  key: string,
  schema: z.ZodType<T>,
  initial: () => T,
): { draft: WritableComputedRef<T>; fault: Readonly<Ref<StorageFault | null>>; ready: Promise<void> } {
  const record = persistedRecord<T>({ door: shelfDoor(`draft.${key}`, schema), initial: initial() });
  onScopeDispose(() => record.dispose());
  return {
    draft: computed({
      get: () => record.value,
      set: (next) => record.change('typed', (value) => void Object.assign(value, next)),
    }),
    fault: record.fault,
    ready: record.loaded,
  };
}
