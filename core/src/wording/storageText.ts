/** Why the browser did not keep or find something: full, blocked or failed, no answer, or not a record of its kind. */
export type StorageFaultKind = 'full' | 'blocked' | 'silent' | 'invalid';

/** Where why does not matter. */
export const NOT_TAKEN = 'The browser’s storage does not take it.';

/** The fault in a sentence. */
export function storageFaultText(fault: StorageFaultKind): string {
  switch (fault) {
    case 'full':
      return 'The browser’s storage is full.';
    case 'blocked':
      return 'The browser blocks its storage.';
    case 'silent':
      return 'The browser’s storage does not answer.';
    case 'invalid':
      return 'What is to be kept does not fit the format.';
  }
}
