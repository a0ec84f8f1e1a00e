<script setup lang="ts">
import { repairFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import { dayText, momentText } from '@mellow-probe/core/base/units/writing';
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
    text: say.removeTemporary,
    dueOn: dayjs().add(3, 'day').format('YYYY-MM-DD'),
    doneAt: null,
  });
}
/** Checks of earlier versions have the follow-up in other words. */
const isItsRemoval = (text: string): boolean => text === say.removeTemporary || text.includes('stand-in');
function removeStandIn(): void {
  if (!repair.value.standIn) return;
  repair.value.standIn.removedAt = nowIso();
  for (const f of job.followUps) if (isItsRemoval(f.text) && !f.doneAt) f.doneAt = nowIso();
}
</script>

<template>
  <FormSheet :title="say.repair" :purpose="say.purpose">
    <p v-if="advice" class="told">{{ advice }}</p>
    <p class="caution">
      {{ say.caution }}
    </p>
    <p v-if="substituted" class="told odd">{{ say.substituteUsed }}</p>
    <div class="two">
      <TextField v-model="repair.part" :label="say.part" :maxlength="400" :placeholder="say.doneHint" />
      <TextField v-model="repair.partNumber" :label="say.partNumber" :maxlength="400" />
    </div>
    <TextField v-model="repair.cause" :label="say.cause" :rows="2" :maxlength="20000" :placeholder="say.whyItFailed" />
    <TextField v-model="repair.done" :label="say.done" :rows="2" :maxlength="20000" :placeholder="say.alsoDoneHint" />
    <CheckBox :model-value="repair.doneAt !== null" @update:model-value="repair.doneAt = $event ? nowIso() : null"
      >{{ say.repaired }}<span v-if="repair.doneAt" class="soft"> · {{ momentText(repair.doneAt) }}</span>
    </CheckBox>
    <div>
      <h3>{{ say.temporaryStandIn }}</h3>
      <p class="soft">
        {{ say.temporaryReplacementRule }}
      </p>
      <div v-if="repair.standIn" class="row">
        <TextField
          v-model="repair.standIn.what"
          class="what"
          :label="say.whatStandsIn"
          hide-label
          :placeholder="say.fittedHint"
          :maxlength="400"
        />
        <span v-if="repair.standIn.removedAt" class="told">{{ say.outSince(dayText(repair.standIn.removedAt)) }}</span>
        <template v-else
          ><span class="told odd">{{ say.fittedSince(dayText(repair.standIn.fittedAt)) }}</span
          ><ActButton @click="removeStandIn">{{ say.itIsOut }}</ActButton></template
        >
      </div>
      <ActButton v-else @click="fitStandIn">{{ say.recordTemporary }}</ActButton>
    </div>
    <FollowUps />
  </FormSheet>
</template>

<style scoped>
.what {
  flex: 0 1 300px;
}
</style>
