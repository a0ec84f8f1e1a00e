import { useRouter } from 'vue-router';
import { useJobs } from '../data/stores/jobs/jobs.ts';

/** Begins a check from an earlier one, and goes there: on the same machine and circuit, or of its fault come back. */
export function useBeginLike(): (id: string, how: 'startLike' | 'startAgain') => Promise<void> {
  const jobs = useJobs();
  const router = useRouter();
  return async (id, how) => {
    const fresh = await jobs[how](id);
    if (fresh) await router.push(`/check/${fresh.id}`);
  };
}
