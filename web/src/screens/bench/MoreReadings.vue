<script setup lang="ts">
import { FINDINGS } from '@mellow-probe/core/catalogue/findings';
import type { JobReading } from '@mellow-probe/core/job/jobSchema';
import { measurementById, MEASUREMENTS } from '@mellow-probe/core/measurements/list';
import { Select } from 'ant-design-vue';
import { computed, nextTick, ref } from 'vue';
import FigureField from '../../components/FigureField.vue';
import { useReadings } from '../../composables/useReadings.ts';
import { useOpenJob } from '../../stores/openJob.ts';
import { useVerdict } from '../../stores/verdict.ts';
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
const tests = computed(() =>
  MEASUREMENTS.filter(
    (m) => m.layouts.includes(bench.job!.circuit.layout) && (!m.needs.includes('position') || bench.job!.circuit.connectors > 0),
  ).map((m) => ({ value: m.id, label: `${m.name}: ${m.title.toLowerCase()}` })),
);
const findingOptions = FINDINGS.map((f) => ({ value: f.id, label: f.name }));

async function add(id: unknown): Promise<void> {
  const made = readings.add(String(id));
  await nextTick();
  row.value?.querySelector<HTMLInputElement>(`[data-reading="${made}"] input`)?.focus();
}
const asks = (r: JobReading, what: 'substituteOhm' | 'bathC' | 'position'): boolean => measurementById(r.measurement).needs.includes(what);
const issueOf = (r: JobReading, what: string) => verdict.issues.get(`readings.${r.id}.${what}`);
</script>

<template>
  <section class="more sheet" aria-label="More readings and findings">
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
        <label v-if="asks(r, 'position')" class="condition pick">
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
        <label class="condition pick">
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
      <Select
        class="add"
        :value="undefined"
        placeholder="Add a reading…"
        aria-label="Add a reading"
        show-search
        option-filter-prop="label"
        :options="tests"
        @change="add"
      />
      <Select
        class="find"
        :value="bench.job!.findings"
        mode="multiple"
        placeholder="Codes and findings…"
        aria-label="Codes and findings"
        option-filter-prop="label"
        :max-tag-count="1"
        :max-tag-text-length="24"
        :options="findingOptions"
        @change="bench.job!.findings = $event as string[]"
      />
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
.pick {
  font-size: 13px;
  font-weight: 600;
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.pick select {
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
.add,
.find {
  flex: 1;
  min-width: 0;
}
.tools :deep(.ant-select-selector) {
  min-height: 44px;
  align-items: center;
}
.tools .add :deep(.ant-select-selector) {
  height: 44px;
}
</style>
