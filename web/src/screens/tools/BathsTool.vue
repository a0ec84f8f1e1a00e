<script setup lang="ts">
import { bathsToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import MarkedText from '../../components/base/MarkedText.vue';
import FactTable from '../../components/base/FactTable.vue';
import ActButton from '../../components/base/ActButton.vue';
import { boilingPointC, pressureAtAltitudeKPa } from '@mellow-probe/core/tools/baths/boilingPoint';
import { settle } from '@mellow-probe/core/tools/baths/settling';
import { THERMOMETERS } from '@mellow-probe/core/catalogue/parts/thermometers';
import { blank, entrySchema } from '@mellow-probe/core/base/units/entry';
import { formatTemperature } from '@mellow-probe/core/base/units/format';
import { settlingText } from '@mellow-probe/core/wording/settlingText';
import { computed } from 'vue';
import { z } from 'zod';
import type { Column } from '../../components/base/factTable.ts';
import EntryField from '../../components/EntryField.vue';
import UseOnJob from '../../components/UseOnJob.vue';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { newId } from '../../browser/newId.ts';
import { useDraft } from '../../session/draft.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/** Temperatures that need no thermometer, what thermometers are good for, and how long to wait. */
const preferences = usePreferences();
const timed = () => ({ id: newId(), minute: blank(), value: blank() });
const COLUMNS: readonly Column<(typeof THERMOMETERS)[number]>[] = [
  { key: 'name', title: say.thermometer, text: (t) => t.name },
  { key: 'limit', title: say.goodTo, mono: true, text: (t) => `± ${t.limitK} K` },
  { key: 'mind', title: say.mind, text: (t) => t.mind },
];
const schema = z.strictObject({
  altitudeM: entrySchema,
  pressureHPa: entrySchema,
  rows: z.array(z.strictObject({ id: z.string(), minute: entrySchema, value: entrySchema })).max(40),
});
const { draft } = useDraft('baths', schema, () => ({
  altitudeM: { text: '0', value: 0 },
  pressureHPa: blank(),
  rows: [timed(), timed(), timed()],
}));
const pressureKPa = computed(() =>
  draft.value.pressureHPa.value === null
    ? pressureAtAltitudeKPa(draft.value.altitudeM.value ?? 0)
    : draft.value.pressureHPa.value / 10,
);
const altitudeBad = computed(
  () =>
    draft.value.altitudeM.value !== null &&
    (draft.value.altitudeM.value < -500 || draft.value.altitudeM.value > 11_000),
);
const boils = computed(() => boilingPointC(pressureKPa.value));
const temperature = (c: number, digits = 1): string => formatTemperature(c, preferences.temperatureUnit, digits);
const settled = computed(() => {
  const readings = draft.value.rows.flatMap((r) =>
    r.minute.value === null || r.value.value === null ? [] : [{ minute: r.minute.value, value: r.value.value }],
  );
  if (readings.length === 0) return '';
  return settlingText(settle(readings, Math.max(Math.max(...readings.map((r) => Math.abs(r.value))) * 1e-3, 1e-3)));
});
function addBath(celsius: number): (job: Job) => void {
  const value = Number(celsius.toFixed(1));
  return (job) =>
    void job.comparison.pairs.push({
      id: newId(),
      sensor: 'this',
      phase: 'heating',
      temperatureC: { text: `${value} °C`, value },
      resistanceOhm: blank(),
    });
}
</script>

<template>
  <div class="two">
    <div>
      <h2>{{ say.iceBath }}</h2>
      <p>
        <MarkedText :text="say.crushedIce(temperature(0))" />
      </p>
      <UseOnJob :what="say.useIceBath" :change="addBath(0)" />
      <h2>{{ say.boilingWater }}</h2>
      <div class="fields">
        <EntryField :label="say.altitudeM" quantity="number" v-model="draft.altitudeM" />
        <EntryField :label="say.pressure" quantity="number" :placeholder="say.atThePlace" v-model="draft.pressureHPa" />
      </div>
      <p v-if="altitudeBad && draft.pressureHPa.value === null" class="told odd">{{ say.altitudeLimits }}</p>
      <p v-else-if="Number.isNaN(boils)" class="told odd">
        {{ say.pressureLimits }}
      </p>
      <p v-else class="told" data-test="boils">
        <MarkedText :text="say.waterBoilsAt(temperature(boils), (10 * pressureKPa).toFixed(0))" />
      </p>
      <p class="soft">
        {{ say.pressureHelp }}
      </p>
      <UseOnJob :what="say.useBoilingWater" :disabled="Number.isNaN(boils)" :change="addBath(boils)" />
      <p class="caution">
        {{ say.boilingCaution }}
      </p>
    </div>
    <div>
      <h2>{{ say.thermometersTitle }}</h2>
      <FactTable
        :label="say.thermometersTitle"
        headless
        :columns="COLUMNS"
        :rows="THERMOMETERS"
        :row-key="(t) => t.name"
      />
      <p class="soft">{{ say.sourceNote }}</p>
      <h2>{{ say.settlingTitle }}</h2>
      <div v-for="(r, i) in draft.rows" :key="r.id" class="timed">
        <EntryField :label="say.minute(i + 1)" quantity="number" v-model="r.minute" />
        <EntryField :label="say.reading(i + 1)" quantity="number" v-model="r.value" />
      </div>
      <ActButton :disabled="draft.rows.length >= 40" @click="draft.rows.push(timed())">
        {{ say.anotherReading }}
      </ActButton>
      <p v-if="settled" class="told" data-test="settled">{{ settled }}</p>
    </div>
  </div>
</template>

<style scoped>
.timed {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  max-width: 340px;
}
p {
  margin: 6px 0;
}
.limit {
  white-space: nowrap;
}
</style>
