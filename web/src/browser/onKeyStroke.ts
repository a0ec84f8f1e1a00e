import { onBeforeUnmount, onMounted } from 'vue';

/** Calls back on a single key, unless a person is typing into a field or holds a modifier. */
export function onKeyStroke(key: string, callback: () => void): void {
  const listener = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    const target = event.target as HTMLElement | null;
    if (target?.closest('input, textarea, select, [contenteditable], [role="dialog"]')) return;
    if (event.key.toLowerCase() !== key.toLowerCase()) return;
    event.preventDefault();
    callback();
  };
  onMounted(() => window.addEventListener('keydown', listener));
  onBeforeUnmount(() => window.removeEventListener('keydown', listener));
}
