import type { PlayMode } from '@mellow-probe/core/training/cases/playRecord';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { useTraining } from '../../data/stores/training.ts';

/** Begins a case and goes to it; `refused` once the store would not take it. */
export function useBegin() {
  const training = useTraining();
  const router = useRouter();
  const refused = ref(false);
  async function begin(number: string, mode: PlayMode, partOf: string | null = null): Promise<void> {
    try {
      await router.push(`/train/play/${await training.begin(number, mode, partOf)}`);
    } catch {
      refused.value = true;
    }
  }
  return { begin, refused };
}
