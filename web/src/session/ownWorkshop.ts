import { noWorkshop, type Workshop, workshopSchema } from '@mellow-probe/core/catalogue/kit/workshopSchema';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { shelfDoor } from '../data/storage/shelfStorage.ts';
import { persistedRecord } from './record/record.ts';

/** Who works here: on the head of every report that is made in this browser. */
export const useOwnWorkshop = defineStore('own-workshop', () => {
  const record = persistedRecord<Workshop>({ door: shelfDoor('workshop', workshopSchema), initial: noWorkshop() });
  return { workshop: computed(() => record.value), fault: record.fault };
});
