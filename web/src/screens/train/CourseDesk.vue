<script setup lang="ts">
import { courseDeskWords as say } from '@mellow-probe/core/wording/screens/train';
import { catalogueCircuit } from '@mellow-probe/core/catalogue/parts/catalogueCircuit';
import { deskReadings, NO_DESK_FAULTS } from '@mellow-probe/core/tools/divider/divider';
import type { DeskStart } from '@mellow-probe/core/training/cases/course';
import { formatOhm, formatTemperature, formatVolt } from '@mellow-probe/core/base/units/format';
import { computed, ref, watch } from 'vue';
import type { Column } from '../../components/base/factTable.ts';
import FactTable from '../../components/base/FactTable.vue';
import SlideBar from '../../components/base/SlideBar.vue';
import { usePreferences } from '../../data/stores/preferences.ts';

/** The divider to move: how the reference is shared between pull-up, wire and sensor, and what would be read where. */
const { start } = defineProps<{ start: DeskStart }>();
const preferences = usePreferences();
const [NONE_BELOW, SERIES_DECADES, LEAK_DECADES] = [0.01, 6, 7];
const temperatureC = ref(20);
const referenceV = ref(5);
const series = ref(0);
const leak = ref(0);
/** 0 … 1 of a slider as ohms: a joint up to 1 MΩ, a leak down to 1 Ω; 0 is none. */
const seriesOf = (ohm: number | null): number => (ohm === null ? 0 : Math.log10(ohm) / SERIES_DECADES);
const leakOf = (ohm: number | null): number => (ohm === null ? 0 : 1 - Math.log10(ohm) / LEAK_DECADES);
watch(
  () => start,
  (at) => {
    [temperatureC.value, referenceV.value] = [at.temperatureC, at.referenceV];
    [series.value, leak.value] = [seriesOf(at.seriesOhm), leakOf(at.leakOhm)];
  },
  { immediate: true },
);
const seriesOhm = computed(() => (series.value < NONE_BELOW ? 0 : Math.pow(10, SERIES_DECADES * series.value)));
const leakOhm = computed(() => (leak.value < NONE_BELOW ? Infinity : Math.pow(10, LEAK_DECADES * (1 - leak.value))));
const circuit = computed(() => ({
  ...catalogueCircuit('engine-coolant-2k8'),
  referenceV: referenceV.value,
  pullUpOhm: start.pullUpOhm,
}));
const read = computed(() =>
  deskReadings(circuit.value, start.pullUpOhm, temperatureC.value, {
    ...NO_DESK_FAULTS,
    wireOhm: 0.2,
    seriesOhm: seriesOhm.value,
    leakGroundOhm: leakOhm.value,
  }),
);
const unit = computed(() => preferences.temperatureUnit);
/** How the reference is shared, from the top: over the pull-up, over the wire, over the sensor. */
const shares = computed(() => {
  const { pinV, plugV } = read.value;
  const all = Math.max(referenceV.value, 1e-6);
  return [
    { name: say.pullUp, volts: Math.max(0, referenceV.value - pinV), of: all },
    { name: say.wire, volts: Math.max(0, pinV - plugV), of: all },
    { name: say.sensor, volts: Math.max(0, plugV), of: all },
  ];
});
const COLUMNS: readonly Column<{ name: string; value: string }>[] = [
  { key: 'name', title: say.what, text: (r) => r.name },
  { key: 'value', title: say.reads, mono: true, text: (r) => r.value },
];
const rows = computed(() => {
  const r = read.value;
  const shown = (c: number): string => formatTemperature(c, unit.value);
  return [
    { name: say.sensor, value: formatOhm(r.sensorOhm) },
    { name: say.voltsPlugPulled, value: formatVolt(r.openV) },
    { name: say.voltsPluggedIn, value: formatVolt(r.plugV) },
    { name: say.voltsAtModule, value: formatVolt(r.pinV) },
    { name: say.itShows, value: shown(r.shownC) },
    { name: say.itShowsPulled, value: shown(r.unpluggedC) },
    { name: say.itShowsBridged, value: shown(r.bridgedC) },
  ];
});
</script>

<template>
  <div class="course-desk" data-test="course-desk">
    <div class="slides">
      <SlideBar
        v-model="temperatureC"
        :label="say.temperature"
        :text="formatTemperature(temperatureC, unit)"
        :low="-20"
        :high="120"
        :step="1"
      />
      <SlideBar
        v-model="referenceV"
        :label="say.reference"
        :text="formatVolt(referenceV)"
        :low="0"
        :high="6"
        :step="0.05"
      />
      <SlideBar
        v-model="series"
        :label="say.inTheWire"
        :text="seriesOhm === 0 ? say.nothing : formatOhm(seriesOhm)"
        :low="0"
        :high="1"
        :step="0.005"
      />
      <SlideBar
        v-model="leak"
        :label="say.leakToGround"
        :text="leakOhm === Infinity ? say.none : formatOhm(leakOhm)"
        :low="0"
        :high="1"
        :step="0.005"
      />
    </div>
    <div class="shown">
      <div class="column" role="img" :aria-label="shares.map((s) => `${s.name} ${formatVolt(s.volts)}`).join(', ')">
        <div
          v-for="s in shares"
          :key="s.name"
          :class="['share', s.name]"
          :style="{ flexGrow: s.volts / s.of, minHeight: s.volts / s.of > 0.02 ? '22px' : '0' }"
        >
          <span v-if="s.volts / s.of > 0.02">{{ s.name }} {{ formatVolt(s.volts) }}</span>
        </div>
      </div>
      <FactTable :label="say.whatIsRead" headless :columns="COLUMNS" :rows="rows" :row-key="(r) => r.name" />
    </div>
  </div>
</template>

<style scoped>
.course-desk {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.slides :deep(.slide) {
  grid-template-columns: 112px minmax(60px, 1fr) 74px;
}
.shown {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 16px;
}
.column {
  display: flex;
  flex-direction: column;
  border: 1px solid var(--line-strong);
  border-radius: 8px;
  overflow: hidden;
  min-height: 230px;
}
.share {
  display: flex;
  align-items: center;
  justify-content: center;
  font: 0.8125rem var(--mono);
  flex-basis: 0;
  overflow: hidden;
}
.pull-up {
  background: var(--bar);
}
.wire {
  background: repeating-linear-gradient(135deg, var(--amber) 0 3px, var(--sheet) 3px 9px);
}
.sensor {
  background: var(--spruce-soft);
}
@media (max-width: 38.75em) {
  .shown {
    grid-template-columns: 112px minmax(0, 1fr);
    gap: 10px;
  }
}
@media (forced-colors: active) {
  .share {
    border-top: 1px solid CanvasText;
  }
}
</style>
