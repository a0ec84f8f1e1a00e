import type { JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { joinMoments, keepApart, type Moment, momentOf, ownTemperature } from '@mellow-probe/core/check/job/moments';
import type { Entry } from '@mellow-probe/core/base/units/entry';
import { usualMoment } from '@mellow-probe/core/inference/model/problem';
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { computed, type ComputedRef, ref, toRaw } from 'vue';
import { newId, nowIso } from '../browser/newId.ts';
import { useSession } from './jobSession.ts';

/** Two moments of which one came of the other: were their readings taken at one temperature after all? */
interface Parted {
  from: string;
  into: string;
}

/** What a screen asks where the temperature of some readings was changed: those of one moment, at their temperature, and the other temperature. */
export interface MomentQuestion {
  count: number;
  heldAt: Entry;
  changedTo: Entry;
  /** They were all taken at the temperature that was typed last. */
  join: () => void;
  /** Each keeps its own. */
  keep: () => void;
}

/** The temperature of the reading on the card, and what is asked once it is another than that of the readings beside it. */
export function useCardMoment(reading: ComputedRef<JobReading | undefined>) {
  const { job, work } = useSession();
  const parted = ref<Parted | null>(null);
  const draft = computed(() => ({ moment: work.moment ?? usualMoment(work.state), state: work.state }));
  const moment = computed<Moment>(() => momentOf(job, reading.value ?? draft.value));

  function put(entry: Entry): void {
    const from = moment.value.id;
    const own = ownTemperature(job, reading.value ?? null, draft.value, entry, newId, nowIso());
    if (own === from) return;
    if (!reading.value) work.moment = own;
    parted.value = { from: own, into: from };
  }
  return { moment, put, question: questionOf(parted) };
}

/** What is asked once the general temperature has jumped away from readings that were taken before. */
export function useGeneralMoment() {
  const { job } = useSession();
  const parted = ref<Parted | null>(null);
  /** As it was when it was last looked at: keys on the page type into it without its ever being left. */
  let before = plainCopy(toRaw(job.moments[0].temperatureC));
  /** The figure is typed to its end. */
  function settled(): void {
    const apart = keepApart(job, before, newId, nowIso());
    if (apart) parted.value = { from: apart, into: job.moments[0].id };
    before = plainCopy(toRaw(job.moments[0].temperatureC));
  }
  return { settled, question: questionOf(parted, true) };
}

/** `general`: the temperature that was typed last is that of `into`, else that of `from`. */
function questionOf(parted: { value: Parted | null }, general = false): ComputedRef<MomentQuestion | null> {
  const { job } = useSession();
  return computed(() => {
    if (!parted.value) return null;
    const { from, into } = parted.value;
    const [own, other] = [from, into].map((id) => job.moments.find((m) => m.id === id));
    if (!own || !other) return null;
    const held = general ? own : other;
    const changedTo = (general ? other : own).temperatureC;
    const count = job.readings.filter((r) => !r.voided && momentOf(job, r).id === held.id).length;
    return {
      count,
      heldAt: held.temperatureC,
      changedTo,
      join: () => {
        if (general) own.temperatureC = changedTo;
        joinMoments(job, from, into);
        parted.value = null;
      },
      keep: () => (parted.value = null),
    };
  });
}
