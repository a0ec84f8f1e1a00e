<script setup lang="ts">
import { followUpsWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import CheckBox from '../../../components/base/CheckBox.vue';
import TextField from '../../../components/base/TextField.vue';
import ActButton from '../../../components/base/ActButton.vue';
import { MOST } from '@mellow-probe/core/check/job/most';
import { followUpSchema } from '@mellow-probe/core/check/job/recordSchemas';
import dayjs from 'dayjs';
import { defineAsyncComponent } from 'vue';
import { newId, nowIso } from '../../../browser/newId.ts';
import { useSession } from '../../../session/jobSession.ts';

/** What still has to be done after today, with its day; open ones stay on the list of checks. */
/** A calendar is large and rarely wanted: it comes with the first follow-up. */
const DayField = defineAsyncComponent(() => import('../../../components/base/DayField.vue'));
const { job } = useSession();
/** Days that a follow-up can fall on. */
const [FIRST_DAY, LAST_DAY] = ['2000-01-01', '2199-12-31'];
function add(): void {
  job.followUps.push({ id: newId(), text: '', dueOn: dayjs().add(7, 'day').format('YYYY-MM-DD'), doneAt: null });
}
function setDay(id: string, day: string): void {
  const item = job.followUps.find((f) => f.id === id);
  if (item && day >= FIRST_DAY && day <= LAST_DAY && followUpSchema.shape.dueOn.safeParse(day).success)
    item.dueOn = day;
}
</script>

<template>
  <div>
    <h3>{{ say.followUps }}</h3>
    <div v-for="f in job.followUps" :key="f.id" class="item" data-test="follow-up">
      <CheckBox :model-value="f.doneAt !== null" @update:model-value="f.doneAt = $event ? nowIso() : null"
        ><span class="visually-hidden">{{ say.done }}</span></CheckBox
      >
      <TextField
        v-model="f.text"
        :class="{ done: f.doneAt }"
        :label="say.whatToDo"
        hide-label
        :placeholder="say.taskHint"
        :maxlength="400"
      />
      <DayField
        :model-value="f.dueOn"
        :label="say.dueOn"
        hide-label
        :first="FIRST_DAY"
        :last="LAST_DAY"
        @update:model-value="setDay(f.id, $event)"
      />
      <ActButton
        kind="quiet"
        :aria-label="say.remove"
        @click="job.followUps = job.followUps.filter((x) => x.id !== f.id)"
      >
        ✕
      </ActButton>
    </div>
    <ActButton :disabled="job.followUps.length >= MOST.followUps" @click="add"> {{ say.add }} </ActButton>
    <p v-if="job.followUps.length >= MOST.followUps" class="soft">{{ say.full(MOST.followUps) }}</p>
  </div>
</template>

<style scoped>
.item {
  display: grid;
  grid-template-columns: 32px minmax(0, 1fr) 160px 44px;
  gap: 8px;
  align-items: center;
  margin-bottom: 6px;
}
.done {
  text-decoration: line-through;
}
</style>
