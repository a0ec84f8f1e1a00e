import { genericKit, type Kit, kitSchema } from '@mellow-probe/core/kit/kitSchema';
import { defineStore } from 'pinia';
import { ref, toRaw, watch } from 'vue';
import { onShelfChangedElsewhere, readShelf, writeShelf } from '../storage/shelfStorage.ts';

const KEY = 'kit';

/** The technician's own kit: new jobs start with a copy of it. */
export const useKit = defineStore('kit', () => {
  const kit = ref<Kit>(genericKit());
  const fault = ref<'full' | 'blocked' | null>(null);
  let quiet = true;
  const loading = load();

  async function load(): Promise<void> {
    const stored = kitSchema.safeParse(await readShelf(KEY));
    quiet = true;
    if (stored.success) kit.value = stored.data;
    await Promise.resolve();
    quiet = false;
  }

  watch(
    kit,
    () => {
      if (!quiet)
        void writeShelf(KEY, JSON.parse(JSON.stringify(toRaw(kit.value)))).then(
          (done) => (fault.value = done === 'kept' ? null : done),
        );
    },
    { deep: true, flush: 'sync' },
  );
  onShelfChangedElsewhere((key) => key === KEY && void load());

  async function forNewJob(): Promise<Kit> {
    await loading;
    return JSON.parse(JSON.stringify(toRaw(kit.value))) as Kit;
  }

  return { kit, fault, forNewJob };
});
