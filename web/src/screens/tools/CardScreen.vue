<script setup lang="ts">
import { cardScreenWords as say } from '@mellow-probe/core/wording/screens/tools';
import PaperLight from '../../components/base/PaperLight.vue';
import FactTable from '../../components/base/FactTable.vue';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { curveTable } from '@mellow-probe/core/circuit/curves/curveTable';
import { deskCurve, NO_DESK_FAULTS } from '@mellow-probe/core/tools/divider/divider';
import { catalogueCircuit } from '@mellow-probe/core/catalogue/parts/catalogueCircuit';
import { formatOhm, formatTemperature, formatVolt } from '@mellow-probe/core/base/units/format';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import type { Column } from '../../components/base/factTable.ts';
import TopBar from '../../components/TopBar.vue';
import { useCurves } from '../../session/curves.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/** The pocket card: temperature, ohms, volts in this circuit and what the module shows, on one page. */
const route = useRoute();
const curves = useCurves();
const preferences = usePreferences();
const curve = computed(() => curves.byId(typeof route.query.curve === 'string' ? route.query.curve : 'ntc-2k8'));
const known = CATALOGUE_CIRCUITS.filter((c) => c.pullUpOhm !== null);
const circuitId = ref(known.find((c) => c.curveId === curve.value.id)?.id ?? known[0].id);
const circuits = known.map((c) => ({ value: c.id, label: c.name }));
/** Most lines that stand on one A4 page beside heading and foot. */
const MOST_LINES = 42;
const lines = computed(() => {
  const circuit = { ...catalogueCircuit(circuitId.value), curve: curve.value.model };
  const [from, to] = [
    Math.max(curve.value.model.minC, circuit.display.minC),
    Math.min(curve.value.model.maxC, circuit.display.maxC),
  ];
  const step = [1, 2, 5, 10, 20, 50].find((s) => (to - from) / s < MOST_LINES) ?? 100;
  const table = curveTable(curve.value.model, from, to, step);
  const desk = deskCurve(
    circuit,
    circuit.pullUpOhm!,
    table.map((l) => l.temperatureC),
    NO_DESK_FAULTS,
  );
  return table.map((l, i) => ({ ...l, volts: desk[i].volts, shownC: desk[i].shownC }));
});
const COLUMNS: readonly Column<(typeof lines.value)[number]>[] = [
  { key: 'c', title: '°C', text: (l) => formatTemperature(l.temperatureC, 'C').replace(' °C', '') },
  { key: 'f', title: '°F', text: (l) => formatTemperature(l.temperatureC, 'F').replace(' °F', '') },
  { key: 'ohm', title: say.ohms },
  { key: 'band', title: say.lowHigh, soft: true, text: (l) => `${formatOhm(l.lowOhm)} … ${formatOhm(l.highOhm)}` },
  { key: 'volts', title: say.voltsPluggedIn, text: (l) => formatVolt(l.volts) },
  { key: 'shown', title: say.shown, text: (l) => formatTemperature(l.shownC, preferences.temperatureUnit) },
];
const print = (): void => window.print();
</script>

<template>
  <div>
    <TopBar class="no-print" back folds>
      <ActButton kind="quiet" to="/shelf/curves">{{ say.shelf }}</ActButton>
      <PickList v-model="circuitId" class="pick" :label="say.inCircuit" hide-label :options="circuits" />
      <ActButton icon="printer" kind="main" @click="print">{{ say.print }}</ActButton>
    </TopBar>
    <PaperLight
      ><main class="light card" :aria-label="say.pocketCard">
        <h1>{{ curve.name }}</h1>
        <p class="soft">{{ known.find((c) => c.id === circuitId)?.name }} · {{ curve.source }}</p>
        <FactTable :label="say.tableLabel" :columns="COLUMNS" :rows="lines" :row-key="(l) => l.temperatureC">
          <template #ohm="{ row }">
            <b>{{ formatOhm(row.resistanceOhm) }}</b>
          </template>
        </FactTable>
        <p class="soft foot">
          {{ say.note }}
        </p>
      </main></PaperLight
    >
  </div>
</template>

<style scoped>
.card {
  max-width: 720px;
  margin: 16px auto;
  padding: 26px 34px;
  background: #fff;
  color: var(--ink);
  border: 1px solid var(--line);
}
h1 {
  font-size: 1.25rem;
}
/* All of it on one page: the lines stand closer than on the screen's other tables. */
.card :deep(.ant-table.ant-table-small .ant-table-tbody > tr > td.ant-table-cell) {
  padding: 1px 8px 1px 0;
  font: 0.7812rem/1.25 var(--mono);
}
.foot {
  margin-top: 6px;
  font-size: 0.75rem;
}
.pick {
  flex: 0 1 330px;
  margin-left: 10px;
}
@media (max-width: 38.75em) {
  .card {
    padding: 18px 10px;
  }
  .card :deep(.ant-table.ant-table-small .ant-table-tbody > tr > td.ant-table-cell) {
    padding-right: 5px;
    font-size: 0.7188rem;
    white-space: nowrap;
  }
}
@media print {
  .no-print.no-print {
    display: none;
  }
  .card {
    margin: 0;
    padding: 0;
    border: 0;
    max-width: none;
  }
}
</style>
