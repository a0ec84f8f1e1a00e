<script setup lang="ts">
import { experiencePartWords as say } from '@mellow-probe/core/wording/screens/logbook';
import { DEFAULT_SHARES, knownCases, ownShares, trackRecord } from '@mellow-probe/core/history/experience/experience';
import { experienceCsv } from '@mellow-probe/core/history/experience/experienceCsv';
import { STRENGTHS } from '@mellow-probe/core/history/experience/strengths';
import { FAULT_GROUPS, FIELDS, type FaultGroup } from '@mellow-probe/core/base/units/vocabulary';
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
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/** What a workshop's own closed checks have taught: base rates, how often tool and technician were right, minutes. */
const jobs = useJobs();
const preferences = usePreferences();
const record = computed(() => trackRecord(jobs.lines));
const cases = computed(() => knownCases(jobs.lines));
const field = ref<(typeof FIELDS)[number]>('engine');
const FIELD_NAMES = { engine: say.engines, climate: say.climateSystems, boiler: say.boilers } as const;
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
  { key: 'group', title: say.fault, text: (r) => groupName(r.group) },
  { key: 'usual', title: say.default, mono: true, text: (r) => percent(r.usual) },
  { key: 'own', title: say.yours, mono: true, text: (r) => percent(r.own) },
  { key: 'decided', title: say.proved, mono: true, text: (r) => r.decided },
  { key: 'back', title: say.back, mono: true, text: (r) => r.cameBack || '–' },
  {
    key: 'tool',
    title: say.toolSaidSo,
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
  <section v-if="record.closed === 0" class="sheet stacked" :aria-label="say.experience">
    <h2>{{ say.nothingLearnedYet }}</h2>
    <p class="soft">
      {{ say.purpose }}
    </p>
  </section>
  <template v-else>
    <section class="sheet stacked" :aria-label="say.baseRates">
      <h2>{{ provedChecksText(record.closed) }}</h2>
      <CheckBox v-model="preferences.experience" data-test="use-experience">{{ say.useOwn }}</CheckBox>
      <p class="soft small">
        {{ say.useOwnHelp }}
      </p>
      <div class="choices">
        <PickList v-model="field" class="field" :label="say.ratesFor" :options="fields" />
        <div>
          <span class="small-head" aria-hidden="true">{{ say.priorWeight }}</span>
          <ChoiceRow v-model="preferences.experienceStrength" :label="say.priorWeight" :options="strengths" />
        </div>
      </div>
      <FactTable :label="say.baseRates" :columns="COLUMNS" :rows="rows" :row-key="(r) => r.group" />
      <p class="soft small">
        {{ say.backNote }}
      </p>
    </section>
    <section class="sheet two-columns" :aria-label="say.accuracyTitle">
      <div>
        <h2>{{ say.accuracyTable }}</h2>
        <ReliabilityChart :bands="record.reliability" />
      </div>
      <div>
        <h2>{{ say.minutesAtMeasuring }}</h2>
        <p v-if="minutes.checks > 0" data-test="minutes">
          {{ measuringMinutesText(minutes) }}
        </p>
        <p v-else class="soft">{{ say.noTimes }}</p>
        <ActButton icon="table" @click="exportCsv">{{ say.exportAsCsv }}</ActButton>
      </div>
    </section>
  </template>
</template>

<style scoped>
h2 {
  font-size: 1.125rem;
  margin: 0 0 4px;
}
.small {
  font-size: 0.8125rem;
  max-width: 75ch;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: end;
}
.asked {
  font-size: 0.8125rem;
  font-weight: 600;
}
.field {
  flex: 0 1 220px;
}
.stacked > :deep(.ant-table-wrapper) {
  align-self: stretch;
}
</style>
