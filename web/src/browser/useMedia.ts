import { onScopeDispose, readonly, type Ref, ref } from 'vue';

/** Does the window answer to a media query? Follows turns, resizing and what is plugged in. */
function useMedia(query: string): Readonly<Ref<boolean>> {
  const list = window.matchMedia(query);
  const matches = ref(list.matches);
  const follow = (event: MediaQueryListEvent): void => void (matches.value = event.matches);
  list.addEventListener('change', follow);
  onScopeDispose(() => list.removeEventListener('change', follow));
  return readonly(matches);
}

/** A phone held upright; the same width as in the style sheets. */
export const useNarrow = (): Readonly<Ref<boolean>> => useMedia('(max-width: 620px)');
/** A finger is the pointer. */
export const useTouch = (): Readonly<Ref<boolean>> => useMedia('(pointer: coarse)');
