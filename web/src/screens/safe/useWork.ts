import { useWorkWords as say } from '@mellow-probe/core/wording/screens/safe';
import { ref, type Ref } from 'vue';
import { StorageError } from '../../data/storage/storageError.ts';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';

function wordsOf(error: unknown): string {
  if (error instanceof DOMException && error.name === 'AbortError') return say.brokenOff;
  if (error instanceof StorageError) return storageFaultText(error.fault);
  return error instanceof Error ? error.message : String(error);
}

/** One long piece of work at a time: how far it has come, and what became of it. */
export interface Work {
  readonly share: Ref<number | null>;
  readonly fault: Ref<string>;
  readonly onProgress: (done: number, all: number) => void;
  /** Runs it; undefined where it failed, and `fault` says why. */
  readonly run: <T>(work: () => Promise<T>) => Promise<T | undefined>;
}

export function useWork(): Work {
  const share = ref<number | null>(null);
  const fault = ref('');
  return {
    share,
    fault,
    onProgress: (done, all) => (share.value = all === 0 ? 1 : done / all),
    async run(work) {
      if (share.value !== null) return undefined;
      share.value = 0;
      fault.value = '';
      try {
        return await work();
      } catch (error) {
        fault.value = wordsOf(error);
        return undefined;
      } finally {
        share.value = null;
      }
    },
  };
}
