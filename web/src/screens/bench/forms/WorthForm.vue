<script setup lang="ts">
import { worthFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import type { Plan } from '@mellow-probe/core/advice/plan/planOf';
import { hasPrices, SURENESS } from '@mellow-probe/core/advice/plan/worthSchema';
import { formatProbability } from '@mellow-probe/core/base/units/format';
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
import { usePreferences } from '../../../data/stores/preferences.ts';
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
  { key: 'hourPrice', label: say.hourPrice, hint: say.notKnown },
  { key: 'partPrice', label: say.sensorPrice, hint: '' },
  { key: 'fitMinutes', label: say.fitMinutes, hint: '20' },
  { key: 'modulePrice', label: say.modulePrice, hint: '' },
  { key: 'backPrice', label: say.comingBackCosts, hint: say.ofAnHour },
] as const;
const SURE = [
  { value: 0, label: say.whatPays },
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
  { key: 'name', title: say.whatToDo },
  { key: 'cost', title: say.untilRight, mono: true, text: (row) => costText(row, priced.value) },
  { key: 'risk', title: say.inVain, soft: true, text: riskText },
];
const RULES: readonly Column<Plan['rules'][number]>[] = [
  { key: 'name', title: say.wayOfWorking, text: (row) => row.name },
  { key: 'cost', title: say.untilRight, mono: true, text: (row) => costText(row, priced.value) },
];
const sentence = computed(() =>
  plan.value ? planSentence(plan.value, preferences.temperatureUnit, priced.value, job.loom) : '',
);
const turns = computed(() => (plan.value ? breakEvenText(plan.value, priced.value, job.worth.assembly) : ''));
</script>

<template>
  <FormSheet :title="say.worthIt" :purpose="say.purpose">
    <p v-if="sentence" :class="['told', { earlier: working }]" data-test="plan">{{ sentence }} {{ turns }}</p>
    <p v-else class="soft">{{ say.workingItOut }}</p>
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
      <h3>{{ say.surenessHelp }}</h3>
      <ChoiceRow v-model="sure" :label="say.sureness" :options="SURE" />
    </div>
    <div>
      <CheckBox v-model="job.worth.assembly">{{ say.soldInAssembly }}</CheckBox>
      <CheckBox v-model="job.worth.protects">{{ say.protects }}</CheckBox>
    </div>
    <p v-if="job.worth.protects" class="caution">
      {{ say.protectsCaution }}
    </p>
    <FactTable v-if="plan" :label="say.waysTitle" :columns="COLUMNS" :rows="rows" :row-key="keyOf">
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
      <h3>{{ say.ordersOnThisCheck }}</h3>
      <FactTable :label="say.orders" :columns="RULES" :rows="plan.rules" :row-key="(row) => row.id" />
      <p class="soft">
        {{ sure ? say.ordersHelp : say.weighedUntil95 }}
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
