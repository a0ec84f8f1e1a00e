<script setup lang="ts">
import { computed } from 'vue';
import dayjs from 'dayjs';
import { newId, nowIso } from '../../../browser/newId.ts';
import { useSession } from '../../../session/jobSession.ts';
import FollowUps from './FollowUps.vue';
import FormSheet from './FormSheet.vue';

/** What was repaired and what caused it; a temporary stand-in is booked and stays due until it is out. */
const { job, verdict } = useSession();
const repair = computed(() => job.repair);
const advice = computed(() => verdict.result?.assessment.suspects.find((s) => s.fault !== 'healthy')?.repair ?? '');
const substituted = computed(() => job.readings.some((r) => r.measurement === 'displayed-substituted' && !r.voided));

function fitStandIn(): void {
  repair.value.standIn = { what: '', fittedAt: nowIso(), removedAt: null };
  job.followUps.push({
    id: newId(),
    text: 'Take the temporary stand-in out, fit the right part',
    dueOn: dayjs().add(3, 'day').format('YYYY-MM-DD'),
    doneAt: null,
  });
}
function removeStandIn(): void {
  if (!repair.value.standIn) return;
  repair.value.standIn.removedAt = nowIso();
  for (const f of job.followUps) if (/stand-in/.test(f.text) && !f.doneAt) f.doneAt = nowIso();
}
</script>

<template>
  <FormSheet title="Repair" purpose="The part, and what made it fail. A sensor under the same drip fails again.">
    <p v-if="advice" class="told">{{ advice }}</p>
    <p class="caution">
      ▲ Cooling systems cold only; coolant drained and bled; brass by feel. Boilers: covers, mains, gas and combustion
      are for licensed persons, by the maker’s instructions and local codes; never defeat a limit or flame safety.
      Refrigerant: qualified persons.
    </p>
    <p v-if="substituted" class="told odd">A substitute resistor was used in this job: make sure it is out again.</p>
    <div class="two">
      <label class="line"
        >Part <input v-model="repair.part" class="text" maxlength="400" placeholder="what was mended or replaced"
      /></label>
      <label class="line">Part number <input v-model="repair.partNumber" class="text" maxlength="400" /></label>
    </div>
    <label class="line"
      >Cause <textarea v-model="repair.cause" rows="2" maxlength="20000" placeholder="why it failed"></textarea>
    </label>
    <label class="line"
      >Done
      <textarea
        v-model="repair.done"
        rows="2"
        maxlength="20000"
        placeholder="seal, contact cleaner, loom routed away, bled …"
      ></textarea>
    </label>
    <label class="check">
      <input
        type="checkbox"
        :checked="repair.doneAt !== null"
        @change="repair.doneAt = ($event.target as HTMLInputElement).checked ? nowIso() : null"
      />
      Repaired<span v-if="repair.doneAt" class="soft"> · {{ dayjs(repair.doneAt).format('DD MMM YYYY HH:mm') }}</span>
    </label>
    <div>
      <h3>Temporary stand-in</h3>
      <p class="soft">
        A sensor of the same curve may keep a plant running. It is booked here until it is out, and never handed over as
        a repair.
      </p>
      <div v-if="repair.standIn" class="row">
        <input
          v-model="repair.standIn.what"
          class="text what"
          aria-label="What stands in"
          placeholder="what stands in"
          maxlength="400"
        />
        <span v-if="repair.standIn.removedAt" class="told"
          >Out since {{ dayjs(repair.standIn.removedAt).format('DD MMM YYYY') }}</span
        >
        <template v-else
          ><span class="told odd">◆ Fitted since {{ dayjs(repair.standIn.fittedAt).format('DD MMM YYYY') }}</span
          ><button class="act" type="button" @click="removeStandIn">It is out</button></template
        >
      </div>
      <button v-else class="act" type="button" @click="fitStandIn">Book a stand-in</button>
    </div>
    <FollowUps />
  </FormSheet>
</template>

<style scoped>
.what {
  max-width: 300px;
}
</style>
