<script setup lang="ts">
import { DEFAULT_SHARES, knownCases, ownShares, trackRecord } from '@mellow-probe/core/experience/experience';
import { experienceCsv } from '@mellow-probe/core/experience/experienceCsv';
import { STRENGTHS } from '@mellow-probe/core/experience/strengths';
import { FAULT_GROUPS, FIELDS, type FaultGroup } from '@mellow-probe/core/units/vocabulary';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { provedChecksText, measuringMinutesText } from '@mellow-probe/core/wording/noticeText';
import { computed, ref } from 'vue';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import ChoiceRow from '../../components/base/ChoiceRow.vue';
import type { Column } from '../../components/base/factTable.ts';
import FactTable from '../../components/base/FactTable.vue';
import PickList from '../../components/base/PickList.vue';
import ReliabilityChart from '../../components/ReliabilityChart.vue';
import { useJobs } from '../../stores/jobs.ts';
import { usePreferences } from '../../stores/preferences.ts';

/** What a workshop's own closed checks have taught: base rates, how often tool and technician were right, minutes. */
const jobs = useJobs();
const preferences = usePreferences();
const record = computed(() => trackRecord(jobs.lines));
const cases = computed(() => knownCases(jobs.lines));
const field = ref<(typeof FIELDS)[number]>('engine');
const FIELD_NAMES = { engine: 'Engines', climate: 'Climate systems', boiler: 'Boilers' } as const;
const fields = FIELDS.map((value) => ({ value, label: FIELD_NAMES[value] }));
const strengths = STRENGTHS.map((value) => ({ value, label: String(value) }));
const percent = (p: number): string => `${Math.round(100 * p)} %`;
interface Row {
  group: FaultGroup;
  usual: number;
  own: number;
  decided: number;
  cameBack: number;
  toolSaid: number;
}
const rows = computed((): Row[] => {
  const own = ownShares(cases.value, field.value, '', preferences.experienceStrength);
  return FAULT_GROUPS.map((group) => {
    const found = record.value.groups.find((g) => g.group === group);
    return {
      ...{ group, usual: DEFAULT_SHARES[group], own: own[group] },
      ...{ decided: found?.decided ?? 0, cameBack: found?.cameBack ?? 0, toolSaid: found?.toolSaid ?? 0 },
    };
  });
});
const COLUMNS: readonly Column<Row>[] = [
  { key: 'group', title: 'fault', text: (r) => groupName(r.group) },
  { key: 'usual', title: 'default', mono: true, text: (r) => percent(r.usual) },
  { key: 'own', title: 'yours', mono: true, text: (r) => percent(r.own) },
  { key: 'decided', title: 'proved', mono: true, text: (r) => r.decided },
  { key: 'back', title: 'back', mono: true, text: (r) => r.cameBack || '–' },
  {
    key: 'tool',
    title: 'tool said so',
    mono: true,
    text: (r) => (r.decided > r.cameBack ? `${r.toolSaid}/${r.decided - r.cameBack}` : '–'),
  },
];
const minutes = computed(() => record.value.minutes);
const exportCsv = (): void =>
  saveFile(
    fileName('experience', 'csv'),
    'text/csv;charset=utf-8',
    experienceCsv(cases.value, preferences.experienceStrength),
  );
</script>

<template>
  <section v-if="record.closed === 0" class="sheet stacked" aria-label="Experience">
    <h2>Nothing learned yet</h2>
    <p class="soft">
      Every check that is closed with its proof teaches how often which fault is found here, and how often the verdict
      was right.
    </p>
  </section>
  <template v-else>
    <section class="sheet stacked" aria-label="Base rates">
      <h2>{{ provedChecksText(record.closed) }}</h2>
      <CheckBox v-model="preferences.experience" data-test="use-experience"
        >New checks start from this workshop’s own rates</CheckBox
      >
      <p class="soft small">
        A check takes them with its first reading and keeps them: they stand among what moved its odds, can be left out
        there, and no older verdict changes.
      </p>
      <div class="choices">
        <PickList v-model="field" class="field" label="Rates for" :options="fields" />
        <ChoiceRow
          v-model="preferences.experienceStrength"
          label="The default weights count for so many checks"
          :options="strengths"
        />
      </div>
      <FactTable label="Base rates" :columns="COLUMNS" :rows="rows" :row-key="(r) => r.group" />
      <p class="soft small">
        “back”: the fault came back, so it was decided wrongly and teaches no rate. What other fields tell is the start
        for this one; a circuit’s own checks weigh most in its next check.
      </p>
    </section>
    <section class="sheet beside" aria-label="How often it was right">
      <div>
        <h2>The tool’s word, on your checks</h2>
        <ReliabilityChart :bands="record.reliability" />
      </div>
      <div>
        <h2>Minutes at measuring</h2>
        <p v-if="minutes.checks > 0" data-test="minutes">
          {{ measuringMinutesText(minutes) }}
        </p>
        <p v-else class="soft">No check knows when its readings were taken.</p>
        <ActButton icon="table" @click="exportCsv">Export as CSV</ActButton>
      </div>
    </section>
  </template>
</template>

<style scoped>
h2 {
  font-size: 18px;
  margin: 0 0 4px;
}
.small {
  font-size: 13px;
  max-width: 75ch;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: end;
}
.asked {
  font-size: 13px;
  font-weight: 600;
}
.field {
  flex: 0 1 220px;
}
.stacked > :deep(.ant-table-wrapper) {
  align-self: stretch;
}
</style>
