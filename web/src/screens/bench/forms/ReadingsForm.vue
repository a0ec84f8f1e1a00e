<script setup lang="ts">
import { measurementById } from '@mellow-probe/core/measurements/list';
import { readingConditionsText } from '@mellow-probe/core/wording/conditionsText';
import dayjs from 'dayjs';
import { computed, ref } from 'vue';
import { useReadings } from '../../../session/readings.ts';
import { useUnsent } from '../../../session/unsent.ts';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../stores/preferences.ts';
import { issueText } from '@mellow-probe/core/wording/issueText';
import { useReadingView } from '../../../session/readingView.ts';
import FormSheet from './FormSheet.vue';

/** Every reading of the job with its conditions, time, note, corrections and voidings: the record. */
const { job, verdict, work } = useSession();
const readings = useReadings();
const preferences = usePreferences();
const viewOf = useReadingView();
const voiding = ref('');
const reason = useUnsent(() => `void ${voiding.value}`);
const rows = computed(() =>
  job.readings.map((r) => {
    const m = measurementById(r.measurement);
    const issue = verdict.issues.get(`readings.${r.id}`);
    return {
      r,
      name: m.title,
      conditions: readingConditionsText(r, preferences.temperatureUnit),
      view: viewOf(r.measurement, r),
      issue: issue ? issueText(issue, m.quantity, preferences.temperatureUnit) : '',
      when: r.takenAt ? dayjs(r.takenAt).format('DD MMM HH:mm') : '',
    };
  }),
);
const SIGNS = { fits: '●', off: '◆', none: '○' } as const;
function voidIt(id: string): void {
  if (reason.value.trim() === '') return;
  readings.voidReading(id, reason.value.trim());
  reason.value = '';
  voiding.value = '';
}
</script>

<template>
  <FormSheet
    title="All readings"
    purpose="The record: what was read, when, under which conditions. A voided reading stays here with its reason and is left out of the verdict."
  >
    <p v-if="rows.length === 0" class="soft">
      No reading yet. The quick check takes the common ones; every other test has its card.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">Test</th>
          <th scope="col">Reading</th>
          <th scope="col">Healthy</th>
          <th scope="col">Taken</th>
          <th scope="col"><span class="visually-hidden">Actions</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.r.id" :class="{ voided: row.r.voided }" data-test="record">
          <td>
            <button class="name" type="button" @click="work.goReading(row.r.id)">{{ row.name }}</button>
            <div class="soft">{{ row.conditions }}</div>
            <div v-if="row.r.note" class="soft">“{{ row.r.note }}”</div>
            <div v-if="row.r.history.length > 0" class="soft">
              corrected from {{ row.r.history.map((h) => h.text).join(', ') }}
            </div>
            <div v-if="row.r.voided" class="reason">voided: {{ row.r.voided.reason }}</div>
          </td>
          <td class="mono">
            <span :class="['sign', row.view.standing]">{{ SIGNS[row.view.standing] }}</span>
            <span class="value">{{ row.r.text || '—' }}</span>
            <div v-if="row.issue" class="reason">{{ row.issue }}</div>
          </td>
          <td class="mono soft">{{ row.view.healthy }}</td>
          <td class="mono soft">{{ row.when }}</td>
          <td class="acts">
            <button v-if="row.r.voided" class="act quiet" type="button" @click="readings.unvoid(row.r.id)">
              Take back in
            </button>
            <form v-else-if="voiding === row.r.id" class="why" @submit.prevent="voidIt(row.r.id)">
              <input
                v-model="reason"
                data-unsent
                class="text"
                aria-label="Why it is voided"
                placeholder="Why?"
                maxlength="400"
              />
              <button class="act" type="submit" :disabled="reason.trim() === ''">Void</button>
            </form>
            <button v-else class="act quiet" type="button" @click="voiding = row.r.id">Void…</button>
          </td>
        </tr>
      </tbody>
    </table>
  </FormSheet>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-size: 12px;
  color: var(--soft);
}
td {
  padding: 5px 10px 5px 0;
  border-top: 1px solid var(--line);
  vertical-align: top;
}
.name {
  border: 0;
  background: transparent;
  padding: 4px 0;
  text-align: left;
  text-decoration: underline;
  text-decoration-color: var(--line-strong);
  cursor: pointer;
}
.soft,
.reason {
  font-size: 12.5px;
}
.reason {
  color: var(--clay);
}
.voided .value {
  text-decoration: line-through;
}
.sign.fits {
  color: var(--moss);
}
.sign.off {
  color: var(--amber);
}
.acts {
  text-align: right;
}
.why {
  display: flex;
  gap: 6px;
  min-width: 220px;
}
</style>
