import type { JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { computed, type ComputedRef } from 'vue';
import { useSession } from './jobSession.ts';
import { useReadings } from './readings.ts';

/** The reading of the card in hand: there is none until the first figure is typed, and none again when it is cleared. */
export function useCardReading(): { reading: ComputedRef<JobReading | undefined>; put: (text: string) => void } {
  const { work } = useSession();
  const readings = useReadings();
  const reading = computed(() => (work.readingId ? readings.find(work.readingId) : undefined));
  function put(text: string): void {
    if (reading.value) {
      readings.retype(reading.value.id, text);
      if (!readings.find(work.readingId!)) work.readingId = null;
    } else if (text.trim() !== '') work.readingId = readings.add(work.test!, text, work.draft, work.state, work.moment);
  }
  return { reading, put };
}
