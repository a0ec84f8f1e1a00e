<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { readingsFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import FactTable from '../../../components/base/FactTable.vue';
import TextField from '../../../components/base/TextField.vue';
import ActButton from '../../../components/base/ActButton.vue';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { readingConditionsText } from '@mellow-probe/core/wording/conditionsText';
import { computed, ref } from 'vue';
import { useReadings } from '../../../session/readings.ts';
import { useUnsent } from '../../../session/unsent.ts';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../data/stores/preferences.ts';
import { issueText } from '@mellow-probe/core/wording/issueText';
import { momentText } from '@mellow-probe/core/base/units/writing';
import { useReadingView } from '../../../session/readingView.ts';
import type { Column } from '../../../components/base/factTable.ts';
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
      conditions: readingConditionsText(r, preferences.temperatureUnit, job),
      view: viewOf(r.measurement, r),
      issue: issue ? issueText(issue, m.quantity, preferences.temperatureUnit) : '',
      when: r.takenAt ? momentText(r.takenAt) : '',
    };
  }),
);
const COLUMNS: readonly Column<(typeof rows.value)[number]>[] = [
  { key: 'test', title: say.test },
  { key: 'reading', title: say.reading, mono: true },
  { key: 'healthy', title: say.healthy, mono: true, soft: true, wideOnly: true, text: (row) => row.view.healthy },
  { key: 'when', title: say.taken, mono: true, soft: true, wideOnly: true, text: (row) => row.when },
  { key: 'acts', title: say.actions, quietTitle: true },
];
const SIGNS = { fits: '●', off: '◆', none: '○' } as const;
function voidIt(id: string): void {
  if (reason.value.trim() === '') return;
  readings.voidReading(id, reason.value.trim());
  reason.value = '';
  voiding.value = '';
}
</script>

<template>
  <FormSheet :title="say.allReadings" :purpose="say.purpose">
    <p v-if="rows.length === 0" class="soft">
      {{ say.empty }}
    </p>
    <FactTable
      v-else
      :label="say.allReadings"
      :columns="COLUMNS"
      :rows="rows"
      :row-key="(row) => row.r.id"
      :row-class="(row) => (row.r.voided ? 'voided' : '')"
      :row-attributes="() => ({ 'data-test': 'record' })"
    >
      <template #test="{ row }">
        <ActButton kind="bare" class="name" @click="work.goReading(row.r.id)">{{ row.name }}</ActButton>
        <div class="soft">{{ row.conditions }}</div>
        <div class="soft mono brief">{{ unbroken(say.healthyAndWhen(row.view.healthy, row.when)) }}</div>
        <div v-if="row.r.note" class="soft">“{{ row.r.note }}”</div>
        <div v-if="row.r.history.length > 0" class="soft">
          {{ say.correctedFrom(row.r.history.map((h) => h.text).join(', ')) }}
        </div>
        <div v-if="row.r.voided" class="reason">{{ say.voided(row.r.voided.reason) }}</div>
      </template>
      <template #reading="{ row }">
        <span :class="['sign', row.view.standing]">{{ SIGNS[row.view.standing] }}</span>
        <span class="value">{{ row.r.text || '—' }}</span>
        <div v-if="row.issue" class="reason">{{ row.issue }}</div>
      </template>
      <template #acts="{ row }">
        <ActButton v-if="row.r.voided" kind="quiet" @click="readings.unvoid(row.r.id)">
          {{ say.takeBackIn }}
        </ActButton>
        <form v-else-if="voiding === row.r.id" class="why" @submit.prevent="voidIt(row.r.id)">
          <TextField
            v-model="reason"
            unsent
            :label="say.exclusionReason"
            hide-label
            :placeholder="say.why"
            :maxlength="400"
          />
          <ActButton submit :disabled="reason.trim() === ''">{{ say.void }}</ActButton>
        </form>
        <ActButton v-else kind="quiet" @click="voiding = row.r.id">{{ say.voidWhy }}</ActButton>
      </template>
    </FactTable>
  </FormSheet>
</template>

<style scoped>
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
  font-size: 0.7812rem;
}
/* On a phone in place of two columns. */
.brief {
  display: none;
}
@media (max-width: 38.75em) {
  .brief {
    display: block;
  }
}
.reason {
  color: var(--clay);
}
:deep(.voided) .value {
  text-decoration: line-through;
}
.sign.fits {
  color: var(--moss);
}
.sign.off {
  color: var(--amber);
}

.why {
  display: flex;
  gap: 6px;
  min-width: 220px;
}
</style>
