import { genericKit, type Kit, kitSchema } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { shelfDoor } from '../data/storage/shelfStorage.ts';
import { persistedRecord } from './record/record.ts';

/** The technician's own kit: new jobs start with a copy of it. */
export const useKit = defineStore('kit', () => {
  const record = persistedRecord<Kit>({ door: shelfDoor('kit', kitSchema), initial: genericKit() });
  return {
    kit: computed(() => record.value),
    fault: record.fault,
    /** A copy for a new job, when the stored kit has arrived. */
    async forNewJob(): Promise<Kit> {
      await record.loaded;
      return structuredClone(record.now());
    },
  };
});
