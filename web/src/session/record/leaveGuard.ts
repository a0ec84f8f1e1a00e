/** Records of this window that the store refused: leaving the page would lose them. */
const unkept = new Set<string>();

/** Says of a record whether the store refused it. */
export function guardLeaving(record: string, refused: boolean): void {
  if (refused) unkept.add(record);
  else unkept.delete(record);
}

// A window that is closed while the store refuses would lose what was typed: ask first.
window.addEventListener('beforeunload', (event) => {
  if (unkept.size > 0) event.preventDefault();
});
