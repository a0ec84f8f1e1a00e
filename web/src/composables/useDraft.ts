import { onBeforeUnmount, ref, type Ref, toRaw, watch } from 'vue';
import type { z } from 'zod';
import { onShelfChangedElsewhere, readShelf, writeShelf } from '../storage/shelfStorage.ts';

/**
 * What is typed into a tool of the shelf, kept through reloads under a key. What is stored and no longer fits the schema is left alone and
 * the tool starts empty. `fault` says when the browser does not keep it.
 */
export function useDraft<T extends object>(
  key: string,
  schema: z.ZodType<T>,
  initial: () => T,
): { draft: Ref<T>; fault: Ref<'full' | 'blocked' | null>; ready: Promise<void> } {
  const draft = ref(initial()) as Ref<T>;
  const fault = ref<'full' | 'blocked' | null>(null);
  let own = '';
  const load = async (): Promise<void> => {
    const stored = schema.safeParse(await readShelf(`draft.${key}`));
    if (!stored.success) return;
    own = JSON.stringify(stored.data);
    draft.value = stored.data;
  };
  const ready = load();
  const stop = watch(
    draft,
    () => {
      const text = JSON.stringify(toRaw(draft.value));
      if (text === own) return;
      own = text;
      void writeShelf(`draft.${key}`, JSON.parse(text)).then((done) => (fault.value = done === 'kept' ? null : done));
    },
    { deep: true },
  );
  onShelfChangedElsewhere((changed) => changed === `draft.${key}` && void load());
  onBeforeUnmount(stop);
  return { draft, fault, ready };
}
