import { experienceFor } from '@mellow-probe/core/history/experience/experience';
import { computed, watch } from 'vue';
import { nowIso } from '../../browser/newId.ts';
import { useSession } from '../../session/jobSession.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/**
 * A check takes the workshop's own base rates with its first reading, where that is switched on: by then its circuit is known. One that has readings
 * already keeps the verdict it had.
 */
export function useExperience(): void {
  const { job } = useSession();
  const jobs = useJobs();
  const preferences = usePreferences();
  const read = computed(() => job.readings.filter((r) => r.value !== null).length);
  watch(read, (count, before) => {
    if (!preferences.experience || before > 0 || count === 0 || job.experience) return;
    const own = experienceFor(
      jobs.lines,
      { field: job.field, circuit: job.circuit.name },
      preferences.experienceStrength,
      nowIso(),
    );
    if (own) job.experience = own;
  });
}
