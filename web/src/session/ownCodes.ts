import { findOwnCode, MOST_OWN_CODES, type OwnCode } from '@mellow-probe/core/catalogue/parts/ownCodes';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import type { z } from 'zod';
import { storedCodesSchema } from '../data/storage/storedCodes.ts';
import { shelfDoor } from '../data/storage/shelfStorage.ts';
import { persistedRecord } from './record/record.ts';

/** The user's own codes on the shelf: those of machines that follow no standard. */
export const useOwnCodes = defineStore('own-codes', () => {
  const record = persistedRecord<z.infer<typeof storedCodesSchema>>({
    door: shelfDoor('codes', storedCodesSchema),
    initial: { codes: [] },
  });
  const removed = shallowRef<OwnCode | null>(null);
  return {
    codes: computed(() => record.value.codes),
    fault: record.fault,
    removed,
    /** Puts codes on the shelf; one that is there already takes the new meaning. How many found no room. */
    keep(added: readonly OwnCode[]): number {
      const rest = record.value.codes.filter((c) => !findOwnCode(added, c.code));
      const room = Math.max(0, MOST_OWN_CODES - rest.length);
      record.change('typed', (value) => {
        value.codes = [...rest, ...added.slice(0, room)].sort((a, b) =>
          a.code.localeCompare(b.code, 'en', { numeric: true }),
        );
      });
      removed.value = null;
      return Math.max(0, added.length - room);
    },
    remove(code: string): void {
      removed.value = findOwnCode(record.value.codes, code) ?? null;
      record.change('typed', (value) => {
        value.codes = value.codes.filter((c) => c.code !== code);
      });
    },
  };
});
