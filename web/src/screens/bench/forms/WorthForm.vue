<script setup lang="ts">
import type { Plan } from '@mellow-probe/core/plan/planOf';
import { hasPrices, SURENESS } from '@mellow-probe/core/plan/worthSchema';
import { formatProbability } from '@mellow-probe/core/units/format';
import { breakEvenText, costText, optionName, planSentence, riskText } from '@mellow-probe/core/wording/planText';
import { computed, shallowRef, watch } from 'vue';
import ActButton from '../../../components/base/ActButton.vue';
import CheckBox from '../../../components/base/CheckBox.vue';
import ChoiceRow from '../../../components/base/ChoiceRow.vue';
import FactTable from '../../../components/base/FactTable.vue';
import type { Column } from '../../../components/base/factTable.ts';
import EntryField from '../../../components/EntryField.vue';
import { useBench } from '../../../session/bench.ts';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../stores/preferences.ts';
import FormSheet from './FormSheet.vue';

/** Whether looking further is worth it: to act, to test on or to stop, each with what it is expected to cost. */
const { job, verdict, work } = useSession();
const bench = useBench();
const preferences = usePreferences();
const plan = shallowRef<Plan | null>(null);
const working = shallowRef(false);
const priced = computed(() => hasPrices(job.worth));
watch(
  () => verdict.state,
  async (state) => {
    working.value = true;
    if (state.kind !== 'ready' || !state.now.complete) return;
    try {
      const found = await bench.line.plan(state.now.of.job);
      if (verdict.state === state) [plan.value, working.value] = [found, false];
    } catch {
      // The verdict itself says that the engine failed.
    }
  },
  { immediate: true },
);
const FIELDS = [
  { key: 'hourPrice', label: 'Price of an hour', hint: 'not known' },
  { key: 'partPrice', label: 'Price of the sensor', hint: '' },
  { key: 'fitMinutes', label: 'Minutes to fit it', hint: '20' },
  { key: 'modulePrice', label: 'Price of a module', hint: '' },
  { key: 'backPrice', label: 'Coming back costs', hint: '¾ of an hour' },
] as const;
const SURE = [
  { value: 0, label: 'what pays' },
  ...SURENESS.map((value) => ({ value, label: formatProbability(value) })),
];
const sure = computed({
  get: () => job.worth.sure ?? 0,
  set: (asked: number) => {
    const known = SURENESS.find((s) => s === asked);
    if (known) job.worth.sure = known;
    else delete job.worth.sure;
  },
});
const rows = computed(() => plan.value?.options ?? []);
type Row = Plan['options'][number];
const keyOf = (row: Row): string => `${row.group ?? row.measurement} ${JSON.stringify(row.conditions)}`;
const COLUMNS: readonly Column<Row>[] = [
  { key: 'name', title: 'What to do' },
  { key: 'cost', title: 'until it is right', mono: true, text: (row) => costText(row, priced.value) },
  { key: 'risk', title: 'in vain', soft: true, text: riskText },
];
const RULES: readonly Column<Plan['rules'][number]>[] = [
  { key: 'name', title: 'Way of working', text: (row) => row.name },
  { key: 'cost', title: 'until it is right', mono: true, text: (row) => costText(row, priced.value) },
];
const sentence = computed(() =>
  plan.value ? planSentence(plan.value, preferences.temperatureUnit, priced.value, job.loom) : '',
);
const turns = computed(() => (plan.value ? breakEvenText(plan.value, priced.value, job.worth.assembly) : ''));
</script>

<template>
  <FormSheet
    title="Worth it?"
    purpose="To act now, to test on or to stop: what each is expected to take until the machine is right, the tests, the repair, its proof and coming back included."
  >
    <p v-if="sentence" :class="['told', { earlier: working }]" data-test="plan">{{ sentence }} {{ turns }}</p>
    <p v-else class="soft">Working it out…</p>
    <div class="prices">
      <EntryField
        v-for="f in FIELDS"
        :key="f.key"
        v-model="job.worth[f.key]"
        :label="f.label"
        quantity="number"
        :placeholder="f.hint"
        :issue="verdict.issues.get(`worth.${f.key}`)"
      />
    </div>
    <div>
      <h3>How sure the customer wants to be before anything is changed</h3>
      <ChoiceRow v-model="sure" label="How sure the customer wants to be" :options="SURE" />
    </div>
    <div>
      <CheckBox v-model="job.worth.assembly"
        >the sensor is only sold with a larger part (its price stands above)</CheckBox
      >
      <CheckBox v-model="job.worth.protects">the circuit protects: frost, overheat, flue, flame</CheckBox>
    </div>
    <p v-if="job.worth.protects" class="caution">
      ▲ Cost never replaces the proof here: no stand-in, and nobody leaves before every reading is sound. Maker’s data
      and local codes go first.
    </p>
    <FactTable v-if="plan" label="What to do, cheapest first" :columns="COLUMNS" :rows="rows" :row-key="keyOf">
      <template #name="{ row }">
        <ActButton
          v-if="row.measurement"
          kind="bare"
          class="link"
          @click="work.goTest(row.measurement, row.conditions)"
        >
          {{ optionName(row, preferences.temperatureUnit, job.loom) }}
        </ActButton>
        <template v-else>{{ optionName(row, preferences.temperatureUnit, job.loom) }}</template>
      </template>
    </FactTable>
    <template v-if="plan">
      <h3>Fixed ways of working, on this very job</h3>
      <FactTable label="Fixed ways of working" :columns="RULES" :rows="plan.rules" :row-key="(row) => row.id" />
      <p class="soft">
        Weighed over two tests ahead; a school tests in its order until it is
        {{ sure ? `as sure as the customer asks` : '95 % sure' }}. A stand-in is no repair and is not weighed.
      </p>
    </template>
  </FormSheet>
</template>

<style scoped>
.earlier {
  opacity: 0.6;
}
.prices {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 2px 14px;
}
.link.link {
  border: 0;
  padding: 0;
  background: transparent;
  color: var(--spruce);
  text-decoration: underline;
  text-align: left;
  white-space: normal;
}
</style>
