/**
 * Why something was not kept or not found: the store is full, blocked (or failed), does not answer, or what was to be written is not what a
 * record of this kind may be.
 */
export type StorageFault = 'full' | 'blocked' | 'silent' | 'invalid';

export class StorageError extends Error {
  constructor(
    readonly fault: StorageFault,
    detail: string,
  ) {
    super(`${fault}: ${detail}`);
    this.name = 'StorageError';
  }
}

/** Whatever a store threw, as one of the faults that are told apart. */
export function toStorageError(error: unknown): StorageError {
  if (error instanceof StorageError) return error;
  const name = typeof error === 'object' && error !== null && 'name' in error ? String(error.name) : '';
  const detail = error instanceof Error ? error.message : String(error);
  return new StorageError(name === 'QuotaExceededError' ? 'full' : 'blocked', detail);
}
