<script setup lang="ts">
import { blank } from '@mellow-probe/core/base/units/entry';
import { compareFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import PickList from '../../../components/base/PickList.vue';
import ActButton from '../../../components/base/ActButton.vue';
import { MOST } from '@mellow-probe/core/check/job/most';
import { computed } from 'vue';
import EntryField from '../../../components/EntryField.vue';
import { newId } from '../../../browser/newId.ts';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../data/stores/preferences.ts';
import { compareText, COMPARISON_SIGNS } from '@mellow-probe/core/wording/compareText';
import { comparePairsOf, readPairs } from '@mellow-probe/core/check/job/comparePairsOf';
import LazyPlot from '../../../components/LazyPlot.ts';
import { comparisonFigures } from './comparisonFigure.ts';
import FormSheet from './FormSheet.vue';
import SettlingSheet from './SettlingSheet.vue';

/** This sensor against the other, and against itself while it is heated and cooled: pairs of temperature and ohms. */
const { job, verdict } = useSession();
const preferences = usePreferences();
const pairs = computed(() => job.comparison.pairs);
const lines = computed(() => {
  const view = comparePairsOf(job);
  return view ? compareText(view, preferences.temperatureUnit) : [];
});
function add(): void {
  const last = pairs.value[pairs.value.length - 1];
  job.comparison.pairs.push({
    id: newId(),
    sensor: last?.sensor ?? 'this',
    phase: last?.phase ?? 'heating',
    temperatureC: blank(),
    resistanceOhm: blank(),
  });
}
const remove = (id: string): void => {
  job.comparison.pairs = pairs.value.filter((p) => p.id !== id);
};
const issueOf = (id: string, what: string) => {
  const issue = verdict.issues.get(`comparison.${id}.${what}`);
  return issue?.reason === 'empty' ? undefined : issue;
};
const figures = computed(() => {
  const read = readPairs(job);
  return read && comparisonFigures(read.pairs, read.model, preferences.temperatureUnit, preferences.dark);
});
const SENSORS = [
  { value: 'this', label: say.thisOne },
  { value: 'other', label: say.newOrNeighbour },
] as const;
const PHASES = [
  { value: 'heating', label: say.heating },
  { value: 'cooling', label: say.cooling },
  { value: 'after', label: say.afterHeat },
] as const;
</script>

<template>
  <FormSheet :title="say.compare" :purpose="say.purpose">
    <p class="caution">
      {{ say.caution }}
    </p>
    <ActButton icon="tool" :to="{ path: '/shelf/machine', query: { machine: job.machine } }">{{
      say.openMachineTool
    }}</ActButton>
    <div v-for="(p, i) in pairs" :key="p.id" class="pair" data-test="pair">
      <EntryField
        :label="say.waterAt(i + 1)"
        quantity="told-celsius"
        v-model="p.temperatureC"
        :issue="issueOf(p.id, 'temperatureC')"
      />
      <EntryField
        :label="say.ohms(i + 1)"
        quantity="ohms"
        v-model="p.resistanceOhm"
        overload
        :issue="issueOf(p.id, 'resistanceOhm')"
      />
      <PickList v-model="p.sensor" :label="say.sensor" :options="SENSORS" />
      <PickList v-model="p.phase" :label="say.while" :options="PHASES" />
      <ActButton kind="quiet" :aria-label="say.removePair(i + 1)" @click="remove(p.id)">✕</ActButton>
    </div>
    <ActButton class="add" :disabled="job.comparison.pairs.length >= MOST.pairs" @click="add">
      {{ say.addAPair }}
    </ActButton>
    <p v-if="job.comparison.pairs.length >= MOST.pairs" class="soft">{{ say.full(MOST.pairs) }}</p>
    <p v-for="l in lines" :key="l.text" :class="['told', { odd: l.odd }]" data-test="compare-told">{{ l.text }}</p>
    <template v-if="figures">
      <div class="charts">
        <LazyPlot :figure="figures.ohms" :label="say.pairsChart" />
        <LazyPlot :figure="figures.off" :label="say.deviationChart" />
      </div>
      <p class="soft">{{ COMPARISON_SIGNS }}</p>
    </template>
    <SettlingSheet />
  </FormSheet>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 130px 150px minmax(0, 1fr) minmax(0, 1fr) 44px;
  gap: 10px;
  align-items: start;
}
.pair .act {
  margin-top: 20px;
}
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  grid-auto-rows: 240px;
  gap: 12px;
}
.add {
  align-self: flex-start;
}
@media (max-width: 38.75em) {
  .pair {
    grid-template-columns: 1fr 1fr 44px;
  }
  /* Temperature and ohms over what they are of; the pair is taken away beside its first line. */
  .pair .act {
    grid-area: 1 / 3;
  }
}
</style>
