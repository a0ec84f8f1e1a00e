import { onBeforeUnmount, onMounted } from 'vue';

/** Where letters are typed: a radio button, a check box or a file button takes none. */
const TYPED_INTO =
  '[contenteditable], [role="dialog"], [role="combobox"], textarea, select, input:not([type="radio"], [type="checkbox"], [type="file"], [type="range"])';

/** Calls back on a single key, unless a person is typing into a field or holds a modifier. */
export function onKeyStroke(key: string, callback: () => void): void {
  const listener = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    const target = event.target as HTMLElement | null;
    if (target?.closest(TYPED_INTO)) return;
    if (event.key.toLowerCase() !== key.toLowerCase()) return;
    event.preventDefault();
    callback();
  };
  onMounted(() => window.addEventListener('keydown', listener));
  onBeforeUnmount(() => window.removeEventListener('keydown', listener));
}
