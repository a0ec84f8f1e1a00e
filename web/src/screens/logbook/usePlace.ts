import { placeByCode, placesOfLines } from '@mellow-probe/core/history/register/register';
import { computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { useJobs } from '../../data/stores/jobs/jobs.ts';

/** The place that the address names; null where there is none, or until the checks are read. */
export function usePlace() {
  const route = useRoute();
  const jobs = useJobs();
  onMounted(() => void jobs.load());
  const code = computed(() => String(route.params.code));
  return { code, place: computed(() => placeByCode(placesOfLines(jobs.lines), code.value)) };
}
