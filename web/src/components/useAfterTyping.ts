import { type Ref, shallowRef, watch } from 'vue';
import { drawSoon } from './drawQueue.ts';

/** What follows from what is typed and is no part of the field, `get`, once nobody types: no letter waits for it. */
export function useAfterTyping<T>(get: () => T): Readonly<Ref<T>> {
  const shown = shallowRef(get()) as Ref<T>;
  watch(get, () => drawSoon(shown, () => (shown.value = get())));
  return shown;
}
