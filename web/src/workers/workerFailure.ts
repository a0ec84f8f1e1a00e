/** Rejects when a worker stops by itself: its script could not be loaded, or it threw outside of any answer. Never resolves. */
export function workerFailure(worker: Worker, unloaded: string, toError: (message: string) => Error): Promise<never> {
  const failure = new Promise<never>((_, reject) => {
    worker.addEventListener('error', (event) => {
      event.preventDefault?.();
      reject(toError(event.message || unloaded));
    });
  });
  // Heard by whoever asks; where nobody does, it is no unhandled fault.
  failure.catch(() => undefined);
  return failure;
}
