import { readingNameById } from '@mellow-probe/core/wording/conditionsText';
import { type VerdictText, verdictText } from '@mellow-probe/core/wording/verdictText';
import { computed, type ComputedRef } from 'vue';
import { usePreferences } from '../data/stores/preferences.ts';
import { useSession } from './jobSession.ts';

/** The verdict of the job on the bench in words; null while there is none. */
export function useVerdictWords(): ComputedRef<VerdictText | null> {
  const { verdict } = useSession();
  const preferences = usePreferences();
  return computed(() =>
    verdict.result
      ? verdictText(
          verdict.result.assessment,
          (id) => readingNameById(verdict.shown!.of.job, id),
          preferences.temperatureUnit,
          verdict.two,
        )
      : null,
  );
}
