<script setup lang="ts">
import { MOST } from '@mellow-probe/core/job/most';
import { followUpSchema } from '@mellow-probe/core/job/recordSchemas';
import dayjs from 'dayjs';
import { newId, nowIso } from '../../../browser/newId.ts';
import { useSession } from '../../../session/jobSession.ts';

/** What still has to be done after today, with its day; open ones stay on the list of checks. */
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
    <h3>Follow-ups</h3>
    <div v-for="f in job.followUps" :key="f.id" class="item" data-test="follow-up">
      <label class="check"
        ><input
          type="checkbox"
          :checked="f.doneAt !== null"
          @change="f.doneAt = ($event.target as HTMLInputElement).checked ? nowIso() : null"
        /><span class="visually-hidden">Done</span></label
      >
      <input
        v-model="f.text"
        class="text"
        :class="{ done: f.doneAt }"
        aria-label="What to do"
        placeholder="what to do"
        maxlength="400"
      />
      <input
        :value="f.dueOn"
        class="text"
        type="date"
        :min="FIRST_DAY"
        :max="LAST_DAY"
        aria-label="Due on"
        @change="setDay(f.id, ($event.target as HTMLInputElement).value)"
      />
      <button
        class="act quiet"
        type="button"
        aria-label="Remove this follow-up"
        @click="job.followUps = job.followUps.filter((x) => x.id !== f.id)"
      >
        ✕
      </button>
    </div>
    <button class="act" type="button" :disabled="job.followUps.length >= MOST.followUps" @click="add">
      Add a follow-up
    </button>
    <p v-if="job.followUps.length >= MOST.followUps" class="soft">{{ MOST.followUps }} follow-ups: no room for more.</p>
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
