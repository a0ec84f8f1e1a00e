import { onBeforeUnmount, onMounted, type Ref, watch } from 'vue';

/** Scrolls `around`, and nothing else, so far that `part` lies within it; towards its middle where it did not. */
function show(around: HTMLElement, part: Element): void {
  const [out, here] = [around.getBoundingClientRect(), part.getBoundingClientRect()];
  if (here.left < out.left || here.right > out.right)
    around.scrollLeft += here.left - out.left - (out.width - here.width) / 2;
  if (here.top < out.top || here.bottom > out.bottom)
    around.scrollTop += here.top - out.top - (out.height - here.height) / 2;
}

/**
 * What is open in a list that scrolls within itself, a strip on a phone and a column at the desk, is in sight from the start, whenever it changes
 * and when the list does (a tablet is turned). The page stays where it is.
 * @param open what is open; its entry is the one with `aria-current`
 * @param around whatever of these scrolls
 */
export function useInSight(open: () => unknown, ...around: Readonly<Ref<HTMLElement | null>>[]): void {
  const look = (): void => {
    for (const { value: element } of around) {
      const part = element?.querySelector('[aria-current]');
      if (element && part) show(element, part);
    }
  };
  const sizes = new ResizeObserver(look);
  onMounted(() => {
    look();
    for (const { value: element } of around) if (element) sizes.observe(element);
  });
  watch(open, look, { flush: 'post' });
  onBeforeUnmount(() => sizes.disconnect());
}
