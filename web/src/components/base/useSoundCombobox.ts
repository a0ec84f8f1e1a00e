import { type ComponentPublicInstance, nextTick, onBeforeUnmount, onMounted, ref, type Ref, watch } from 'vue';

/**
 * Mends what the library's list says to a screen reader, in this one place: a closed one points at a list that is not in the page
 * and does not say that it is closed; an open one has no name, and the lines that a finger touches have no role.
 *
 * @param id of the input; the library calls its list `${id}_list`
 * @param label what the list is called
 * @returns `box` for the list's component, `open` for its state
 */
export function useSoundCombobox(
  id: string,
  label: () => string,
): { box: Ref<ComponentPublicInstance | undefined>; open: Ref<boolean> } {
  const box = ref<ComponentPublicInstance>();
  const open = ref(false);
  // The library writes its attributes again at every change of its own: what it wrote is set right again, and only then.
  const observer = new MutationObserver(() => mend());

  function put(element: Element, name: string, value: string | null): void {
    if (element.getAttribute(name) === value) return;
    if (value === null) element.removeAttribute(name);
    else element.setAttribute(name, value);
  }

  function mend(): void {
    const input = (box.value?.$el as Element | undefined)?.querySelector('input');
    if (!input) return;
    put(input, 'aria-expanded', String(open.value));
    const list = open.value ? document.getElementById(`${id}_list`) : null;
    put(input, 'aria-controls', list ? list.id : null);
    put(input, 'aria-owns', null);
    if (!list) {
      put(input, 'aria-activedescendant', null);
      return;
    }
    put(list, 'aria-label', label());
    const lines = list.parentElement?.querySelector('.rc-virtual-list-holder-inner');
    if (!lines) return;
    put(lines, 'role', 'listbox');
    put(lines, 'aria-label', label());
    for (const line of lines.children)
      put(line, 'role', line.hasAttribute('aria-selected') ? 'option' : 'presentation');
    observer.observe(lines, { childList: true });
  }

  onMounted(() => {
    const input = (box.value?.$el as Element | undefined)?.querySelector('input');
    if (input) observer.observe(input, { attributes: true });
    mend();
  });
  watch(open, async () => {
    await nextTick();
    mend();
    // The list comes into the page a moment after it is opened.
    requestAnimationFrame(mend);
  });
  onBeforeUnmount(() => observer.disconnect());
  return { box, open };
}
