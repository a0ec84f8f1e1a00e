import {
  asTemplate,
  type KeptHarness,
  type Harness,
  MOST_HARNESSES,
} from '@mellow-probe/core/circuit/harness/harnessSchema';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import type { z } from 'zod';
import { newId } from '../browser/newId.ts';
import { storedHarnessesSchema } from '../data/storage/storedHarnesses.ts';
import { shelfDoor } from '../data/storage/shelfStorage.ts';
import { persistedRecord } from './record/record.ts';

/** Looms kept on the shelf, by name: the next check of such a machine takes one in a tap. */
export const useOwnHarnesses = defineStore('own-looms', () => {
  const record = persistedRecord<z.infer<typeof storedHarnessesSchema>>({
    door: shelfDoor('looms', storedHarnessesSchema),
    initial: { looms: [] },
  });
  return {
    looms: computed(() => record.value.looms),
    fault: record.fault,
    full: computed(() => record.value.looms.length >= MOST_HARNESSES),
    /** Keeps a loom under a name; one of that name is replaced. */
    keep(name: string, loom: Harness): void {
      const kept: KeptHarness = { id: newId(), name, loom: asTemplate(loom) };
      record.change('typed', (value) => {
        value.looms = [...value.looms.filter((l) => l.name !== name), kept].sort((a, b) =>
          a.name.localeCompare(b.name, 'en', { numeric: true }),
        );
      });
    },
    remove(id: string): void {
      record.change('typed', (value) => {
        value.looms = value.looms.filter((l) => l.id !== id);
      });
    },
  };
});
