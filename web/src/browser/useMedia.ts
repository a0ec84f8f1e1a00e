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

/** A phone held upright: one thing at a time. */
export const useNarrow = (): Readonly<Ref<boolean>> => useMedia('(max-width: 38.75em)');
/** A tablet held upright, or less. */
export const useUpright = (): Readonly<Ref<boolean>> => useMedia('(max-width: 67.5em)');
/** Too narrow for a table: cards. */
export const useCards = (): Readonly<Ref<boolean>> => useMedia('(max-width: 43.75em)');
/** A finger is the pointer. */
export const useTouch = (): Readonly<Ref<boolean>> => useMedia('(pointer: coarse)');
/** Nothing is to move on the screen. */
export const useStill = (): Readonly<Ref<boolean>> => useMedia('(prefers-reduced-motion: reduce)');
