import { onBeforeUnmount, type Ref, watch } from 'vue';

/** The open sheets, the one on top last. */
const sheets: Ref<boolean>[] = [];

/** On the window, so that it works wherever the focus is; a picker that is open in a sheet closes itself and stops the key before. */
function closeTop(event: KeyboardEvent): void {
  const top = sheets.at(-1);
  if (event.key !== 'Escape' || event.isComposing || !top) return;
  event.preventDefault();
  top.value = false;
}

function remove(open: Ref<boolean>): void {
  const at = sheets.indexOf(open);
  if (at >= 0) sheets.splice(at, 1);
  if (sheets.length === 0) window.removeEventListener('keydown', closeTop);
}

/** Lets Escape close a sheet: one press closes the topmost one only. */
export function useEscape(open: Ref<boolean>): void {
  watch(
    open,
    (isOpen) => {
      remove(open);
      if (!isOpen) return;
      sheets.push(open);
      window.addEventListener('keydown', closeTop);
    },
    { immediate: true, flush: 'sync' },
  );
  onBeforeUnmount(() => remove(open));
}
