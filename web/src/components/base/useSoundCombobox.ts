import { type ComponentPublicInstance, nextTick, onBeforeUnmount, onMounted, ref, type Ref, watch } from 'vue';

import { said } from './said.ts';

/**
 * Mends what the library's list says to a screen reader, in this one place: a closed one points at a list that is not in the page
 * and does not say that it is closed, nor what is picked in it; an open one has no name, and the lines that a finger touches have no role.
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

  function mend(): void {
    const input = (box.value?.$el as Element | undefined)?.querySelector('input');
    if (!input) return;
    const list = open.value ? document.getElementById(`${id}_list`) : null;
    said(input, { 'aria-expanded': String(open.value), 'aria-controls': list ? list.id : null, 'aria-owns': null });
    const picked = (box.value?.$el as Element).querySelector('.ant-select-selection-item');
    if (picked) picked.id = `${id}_picked`;
    said(input, { 'aria-describedby': picked ? picked.id : null });
    if (!list) {
      said(input, { 'aria-activedescendant': null });
      return;
    }
    said(list, { 'aria-label': label() });
    const lines = list.parentElement?.querySelector('.rc-virtual-list-holder-inner');
    if (!lines) return;
    said(lines, { role: 'listbox' });
    said(lines, { 'aria-label': label() });
    for (const line of lines.children)
      said(line, { role: line.hasAttribute('aria-selected') ? 'option' : 'presentation' });
    observer.observe(lines, { childList: true });
  }

  onMounted(() => {
    const input = (box.value?.$el as Element | undefined)?.querySelector('input');
    if (input) observer.observe(input, { attributes: true });
    const shown = (box.value?.$el as Element | undefined)?.querySelector('.ant-select-selector');
    if (shown) observer.observe(shown, { childList: true, subtree: true });
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
