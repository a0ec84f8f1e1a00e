import { computed, type MaybeRefOrGetter, reactive, toValue, type WritableComputedRef } from 'vue';
import { readUnsent, writeUnsent } from '../data/storage/unsent.ts';
import { useSession } from './jobSession.ts';

/** Text typed on the bench that is no part of the job yet, under a name. It outlives a reload and a look at another sheet. */
export function useUnsent(name: MaybeRefOrGetter<string>): WritableComputedRef<string> {
  const { id } = useSession();
  const texts = reactive(new Map<string, string>());
  return computed({
    get: () => texts.get(toValue(name)) ?? readUnsent(id, toValue(name)),
    set: (next) => {
      texts.set(toValue(name), next);
      writeUnsent(id, toValue(name), next);
    },
  });
}
