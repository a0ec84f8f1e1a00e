/** Something that happens again and again, to those who listen. A listener that throws does not keep the others from hearing. */
export interface Stream<T> {
  emit(event: T): void;
  /** Returns how to stop. */
  listen(listener: (event: T) => void): () => void;
}

export function stream<T>(): Stream<T> {
  const listeners = new Set<(event: T) => void>();
  return {
    emit(event) {
      const faults: unknown[] = [];
      for (const listener of [...listeners]) {
        try {
          listener(event);
        } catch (fault) {
          faults.push(fault);
        }
      }
      if (faults.length > 0) throw faults[0];
    },
    listen(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
