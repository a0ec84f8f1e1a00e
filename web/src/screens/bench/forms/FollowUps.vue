<script setup lang="ts">
import dayjs from 'dayjs';
import { newId, nowIso } from '../../../composables/newId.ts';
import { useOpenJob } from '../../../stores/openJob.ts';

/** What still has to be done after today, with its day; open ones stay on the list of checks. */
const bench = useOpenJob();
function add(): void {
  bench.job!.followUps.push({ id: newId(), text: '', dueOn: dayjs().add(7, 'day').format('YYYY-MM-DD'), doneAt: null });
}
function setDay(id: string, day: string): void {
  const item = bench.job!.followUps.find((f) => f.id === id);
  if (item && /^\d{4}-\d{2}-\d{2}$/.test(day)) item.dueOn = day;
}
</script>

<template>
  <div>
    <h3>Follow-ups</h3>
    <div v-for="f in bench.job!.followUps" :key="f.id" class="item" data-test="follow-up">
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
        aria-label="Due on"
        @change="setDay(f.id, ($event.target as HTMLInputElement).value)"
      />
      <button
        class="act quiet"
        type="button"
        aria-label="Remove this follow-up"
        @click="bench.job!.followUps = bench.job!.followUps.filter((x) => x.id !== f.id)"
      >
        ✕
      </button>
    </div>
    <button class="act" type="button" @click="add">Add a follow-up</button>
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
