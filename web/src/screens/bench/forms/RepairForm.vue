<script setup lang="ts">
import { dayText, momentText } from '@mellow-probe/core/units/writing';
import CheckBox from '../../../components/base/CheckBox.vue';
import TextField from '../../../components/base/TextField.vue';
import ActButton from '../../../components/base/ActButton.vue';
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
      <TextField v-model="repair.part" label="Part" :maxlength="400" placeholder="what was mended or replaced" />
      <TextField v-model="repair.partNumber" label="Part number" :maxlength="400" />
    </div>
    <TextField v-model="repair.cause" label="Cause" :rows="2" :maxlength="20000" placeholder="why it failed" />
    <TextField
      v-model="repair.done"
      label="Done"
      :rows="2"
      :maxlength="20000"
      placeholder="seal, contact cleaner, loom routed away, bled …"
    />
    <CheckBox :model-value="repair.doneAt !== null" @update:model-value="repair.doneAt = $event ? nowIso() : null"
      >Repaired<span v-if="repair.doneAt" class="soft"> · {{ momentText(repair.doneAt) }}</span>
    </CheckBox>
    <div>
      <h3>Temporary stand-in</h3>
      <p class="soft">
        A sensor of the same curve may keep a plant running. It is booked here until it is out, and never handed over as
        a repair.
      </p>
      <div v-if="repair.standIn" class="row">
        <TextField
          v-model="repair.standIn.what"
          class="what"
          label="What stands in"
          hide-label
          placeholder="what stands in"
          :maxlength="400"
        />
        <span v-if="repair.standIn.removedAt" class="told">Out since {{ dayText(repair.standIn.removedAt) }}</span>
        <template v-else
          ><span class="told odd">◆ Fitted since {{ dayText(repair.standIn.fittedAt) }}</span
          ><ActButton @click="removeStandIn">It is out</ActButton></template
        >
      </div>
      <ActButton v-else @click="fitStandIn">Book a stand-in</ActButton>
    </div>
    <FollowUps />
  </FormSheet>
</template>

<style scoped>
.what {
  flex: 0 1 300px;
}
</style>
