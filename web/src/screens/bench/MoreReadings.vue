<script setup lang="ts">
import type { JobReading } from '@mellow-probe/core/job/jobSchema';
import { measurementById, MEASUREMENTS } from '@mellow-probe/core/measurements/list';
import { computed, nextTick, ref } from 'vue';
import FigureField from '../../components/FigureField.vue';
import PickList from '../../components/PickList.vue';
import { useReadings } from '../../composables/useReadings.ts';
import { useOpenJob } from '../../stores/openJob.ts';
import { useVerdict } from '../../stores/verdict.ts';
import FindingsPicker from './FindingsPicker.vue';
import ReadingField from './ReadingField.vue';

/** Readings that have no place of their own in the drawing, repeats, and findings that are no figures. */
const DRAWN = ['displayed', 'open-voltage', 'loaded-voltage', 'return-drop', 'sensor-ohms'];
const bench = useOpenJob();
const verdict = useVerdict();
const readings = useReadings();
const row = ref<HTMLElement>();

const extra = computed(() => {
  const seen = new Set<string>();
  return bench.job!.readings.filter((r) => {
    const drawn = DRAWN.includes(r.measurement) && !seen.has(r.measurement);
    seen.add(r.measurement);
    return !drawn;
  });
});
const SETUPS = [
  ['scan', 'On the display'],
  ['plugged', 'Plugged in'],
  ['unplugged', 'Unplugged'],
  ['bridged', 'Bridged'],
  ['substituted', 'With a resistor'],
  ['key-off', 'Key off'],
  ['both-ends-free', 'Both ends free'],
  ['bench', 'Sensor taken off'],
] as const;
const tests = computed(() => {
  const { layout, connectors } = bench.job!.circuit;
  const possible = MEASUREMENTS.filter((m) => m.layouts.includes(layout) && (!m.needs.includes('position') || connectors > 0));
  return SETUPS.map(([setup, label]) => ({
    label,
    options: possible.filter((m) => m.setup === setup).map((m) => ({ value: m.id, label: `${m.name}: ${lower(m.title)}` })),
  })).filter((g) => g.options.length > 0);
});
const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

async function add(id: string): Promise<void> {
  const made = readings.add(id);
  await nextTick();
  row.value?.querySelector<HTMLInputElement>(`[data-reading="${made}"] input`)?.focus();
}
const asks = (r: JobReading, what: 'substituteOhm' | 'bathC' | 'position'): boolean => measurementById(r.measurement).needs.includes(what);
const issueOf = (r: JobReading, what: string) => verdict.issues.get(`readings.${r.id}.${what}`);
</script>

<template>
  <section class="more sheet" :class="{ beside: extra.length > 0 }" aria-label="More readings and findings">
    <div ref="row" class="fields" v-if="extra.length > 0">
      <div v-for="r in extra" :key="r.id" class="extra" :data-reading="r.id">
        <ReadingField :measurement="r.measurement" :reading="r" />
        <FigureField
          v-if="asks(r, 'substituteOhm')"
          class="condition"
          label="with resistor"
          quantity="ohms"
          :text="r.conditions.substituteOhm?.text ?? ''"
          :issue="issueOf(r, 'substituteOhm')"
          @type="r.conditions.substituteOhm = readings.entryOf($event, 'ohms')"
          @choose="r.conditions.substituteOhm = readings.entryOf($event, 'ohms')"
        />
        <FigureField
          v-if="asks(r, 'bathC')"
          class="condition"
          label="water at"
          quantity="celsius"
          :text="r.conditions.bathC?.text ?? ''"
          :issue="issueOf(r, 'bathC')"
          @type="r.conditions.bathC = readings.entryOf($event, 'celsius')"
          @choose="r.conditions.bathC = readings.entryOf($event, 'celsius')"
        />
        <label v-if="asks(r, 'position')" class="condition choose">
          where
          <select
            :value="`${r.conditions.wire} ${r.conditions.position}`"
            @change="
              ([r.conditions.wire, r.conditions.position] = [
                ($event.target as HTMLSelectElement).value.split(' ')[0] as 'signal' | 'return',
                Number(($event.target as HTMLSelectElement).value.split(' ')[1]),
              ])
            "
          >
            <template v-for="wire in ['signal', 'return']" :key="wire">
              <option v-for="n in bench.job!.circuit.connectors" :key="n" :value="`${wire} ${n}`">{{ wire }}, connector {{ n }}</option>
            </template>
          </select>
        </label>
        <label class="condition choose">
          while
          <select v-model="r.state">
            <option value="steady">as found</option>
            <option value="hot">hot</option>
            <option value="wiggling">wiggling</option>
          </select>
        </label>
        <button class="act quiet" type="button" :aria-label="`Take out ${measurementById(r.measurement).name}`" @click="readings.remove(r.id)">Take out</button>
      </div>
    </div>
    <div class="tools">
      <PickList class="add" label="Add a reading" hide-label prompt="Add a reading…" :groups="tests" @pick="add" />
      <FindingsPicker />
      <label v-if="extra.some((r) => r.state === 'hot')" class="hot">
        <FigureField
          label="Thermometer, hot"
          quantity="celsius"
          :text="bench.job!.hotTemperatureC.text"
          :issue="verdict.issues.get('hotTemperatureC')"
          @type="bench.job!.hotTemperatureC = readings.entryOf($event, 'celsius')"
          @choose="bench.job!.hotTemperatureC = readings.entryOf($event, 'celsius')"
        />
      </label>
    </div>
  </section>
</template>

<style scoped>
.more {
  padding: 6px 10px;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.more.beside {
  flex-direction: row;
  justify-content: space-between;
}
.more.beside .tools {
  flex-direction: column;
  align-items: stretch;
  flex: 0 0 190px;
}
.more.beside .tools > * {
  flex: 0 0 44px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
}
.extra {
  display: flex;
  gap: 6px;
  align-items: flex-start;
}
.extra > :first-child {
  width: 178px;
}
.condition {
  width: 112px;
}
.choose {
  font-size: 13px;
  font-weight: 600;
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.choose select {
  font-weight: 400;
  height: 44px;
  border: 1.5px solid var(--line-strong);
  border-radius: 9px;
  background: var(--field);
}
.extra .act {
  margin-top: 20px;
}
.tools {
  display: flex;
  gap: 8px;
  align-items: flex-end;
}
.add {
  flex: 1 1 0;
  min-width: 0;
}
</style>
