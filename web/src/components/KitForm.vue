<script setup lang="ts">
import PickList from './base/PickList.vue';
import CheckBox from './base/CheckBox.vue';
import TextField from './base/TextField.vue';
import ActButton from './base/ActButton.vue';
import { type Kit, MOST_RANGES } from '@mellow-probe/core/kit/kitSchema';
import { type ThermometerKind, TOOLS } from '@mellow-probe/core/units/vocabulary';
import { kitIssues } from '@mellow-probe/core/job/kitIssues';
import { instrumentsOf, thermometerSigmaK } from '@mellow-probe/core/kit/instrumentsOf';
import { ownResistors } from '@mellow-probe/core/kit/ownResistors';
import type { FieldQuantity } from '@mellow-probe/core/units/quantity';
import type { Entry } from '@mellow-probe/core/units/entry';
import { blank } from '@mellow-probe/core/units/entry';
import { fixed, significant } from '@mellow-probe/core/units/writing';
import { computed } from 'vue';
import EntryField from './EntryField.vue';

/** A kit as a form: tools at hand, meter by ranges, thermometer, resistors, how hard the places are to reach. */
const kit = defineModel<Kit>({ required: true });
const NAMES = {
  meter: 'Meter',
  thermometer: 'Thermometer',
  'live-data': 'Scan tool or display',
  resistors: 'Resistors or decade box',
  jumper: 'Jumper or test lamp',
  'module-access': 'Module within reach',
  bath: 'Pot of water',
  'second-sensor': 'A second sensor',
} as const;
const PLACES = [
  ['plug', 'Sensor plug'],
  ['module', 'Module'],
  ['sensor', 'Taking the sensor off'],
] as const;
/** Figures that cannot be, at their fields. */
const issues = computed(() => new Map(kitIssues(kit.value).map(({ path, issue }) => [path, issue])));
const instruments = computed(() => instrumentsOf(kit.value));
const drawer = computed(() => ownResistors(kit.value.resistors));
const percent = (x: number): string => `${fixed(100 * x, 2)} %`;
function toggle(tool: (typeof TOOLS)[number], on: boolean): void {
  kit.value.tools = on
    ? [...kit.value.tools.filter((t) => t !== tool), tool]
    : kit.value.tools.filter((t) => t !== tool);
}
const single = computed<
  { path: string; label: string; quantity: FieldQuantity; hint: string; get: () => Entry; set: (e: Entry) => void }[]
>(() => [
  {
    label: 'Input on volts',
    quantity: 'ohms',
    hint: 'common: 10 MΩ',
    path: 'meter.inputOhm',
    get: () => kit.value.meter.inputOhm,
    set: (e) => (kit.value.meter.inputOhm = e),
  },
  {
    label: 'OL above',
    quantity: 'ohms',
    hint: 'common: 20 MΩ',
    path: 'meter.overloadOhm',
    get: () => kit.value.meter.overloadOhm,
    set: (e) => (kit.value.meter.overloadOhm = e),
  },
  {
    label: 'Leads (not zeroed)',
    quantity: 'ohms',
    hint: 'common: 0, zeroed',
    path: 'meter.leadOhm',
    get: () => kit.value.meter.leadOhm,
    set: (e) => (kit.value.meter.leadOhm = e),
  },
  {
    label: 'Thermometer, ± K',
    quantity: 'number',
    hint: `now 1σ ${fixed(thermometerSigmaK(kit.value), 2)} K`,
    path: 'thermometerK',
    get: () => kit.value.thermometerK,
    set: (e) => (kit.value.thermometerK = e),
  },
  {
    label: 'Displayed value, ± K',
    quantity: 'number',
    hint: `now 1σ ${fixed(instruments.value.displayedK, 2)} K`,
    path: 'displayedK',
    get: () => kit.value.displayedK,
    set: (e) => (kit.value.displayedK = e),
  },
  {
    label: 'Resistors, ± %',
    quantity: 'number',
    hint: 'common: 1 %',
    path: 'resistors.tolerancePercent',
    get: () => kit.value.resistors.tolerancePercent,
    set: (e) => (kit.value.resistors.tolerancePercent = e),
  },
]);
const RANGES = [
  ['volts', 'Volts', 'V'],
  ['ohms', 'Ohms', 'Ω'],
] as const;
const THERMOMETER_NAMES: Readonly<Record<ThermometerKind, string>> = {
  thermocouple: 'thermocouple, taped on',
  glass: 'glass',
  'infra-red': 'infra-red on a dull surface',
  'infra-red-shiny': 'infra-red on shiny metal',
  display: 'another display of the machine',
  hand: 'the hand',
  other: 'another',
};
const thermometers = (Object.keys(THERMOMETER_NAMES) as ThermometerKind[]).map((value) => ({
  value,
  label: THERMOMETER_NAMES[value],
}));
const REACH = [
  { value: 'easy', label: 'easy to reach' },
  { value: 'usual', label: 'usual' },
  { value: 'hard', label: 'hard to reach' },
] as const;
const DRAWERS = (['E6', 'E12', 'E24', 'E48', 'E96', 'own'] as const).map((value) => ({
  value,
  label: value === 'own' ? 'what I own' : value,
}));
</script>

<template>
  <div class="kit">
    <TextField
      v-model="kit.name"
      label="Name of the kit"
      :maxlength="400"
      placeholder="meter and thermometer, for the report"
    />
    <div role="group" aria-label="At hand" class="tools">
      <CheckBox
        v-for="t in TOOLS"
        :key="t"
        :model-value="kit.tools.includes(t)"
        @update:model-value="toggle(t, $event)"
        >{{ NAMES[t] }}</CheckBox
      >
    </div>
    <div class="fields">
      <PickList v-model="kit.thermometer" label="Thermometer" :options="thermometers" />
      <PickList v-for="[key, name] in PLACES" :key="key" v-model="kit.access[key]" :label="name" :options="REACH" />
      <EntryField
        v-for="f in single"
        :key="f.label"
        :model-value="f.get()"
        :label="f.label"
        :quantity="f.quantity"
        :hint="f.hint"
        :issue="issues.get(`kit.${f.path}`)"
        @update:model-value="f.set"
      />
      <PickList v-model="kit.resistors.series" label="Drawer" :options="DRAWERS" />
      <TextField
        v-if="kit.resistors.series === 'own'"
        v-model="kit.resistors.own"
        label="Resistors I own"
        :maxlength="2000"
        placeholder="100, 220, 1k, 4k7"
      />
    </div>
    <p v-if="drawer.unread.length > 0" class="told odd">Not read: {{ drawer.unread.join(', ') }}.</p>
    <div v-for="[key, name, unit] in RANGES" :key="key">
      <h2>{{ name }}, by range of the data sheet</h2>
      <div v-for="(r, i) in kit.meter[key]" :key="i" class="range">
        <EntryField
          :label="`up to (${unit})`"
          :quantity="key"
          v-model="r.upTo"
          :issue="issues.get(`kit.meter.${key}.${i}.upTo`)"
        />
        <EntryField
          label="± % of reading"
          quantity="number"
          v-model="r.percent"
          :issue="issues.get(`kit.meter.${key}.${i}.percent`)"
        />
        <EntryField
          label="± digits"
          quantity="number"
          v-model="r.digits"
          :issue="issues.get(`kit.meter.${key}.${i}.digits`)"
        />
        <EntryField
          :label="`one digit (${unit})`"
          :quantity="key"
          v-model="r.digit"
          :issue="issues.get(`kit.meter.${key}.${i}.digit`)"
        />
        <ActButton kind="quiet" :aria-label="`Remove ${name} range ${i + 1}`" @click="kit.meter[key].splice(i, 1)">
          ✕
        </ActButton>
      </div>
      <div class="row">
        <ActButton
          :disabled="kit.meter[key].length >= MOST_RANGES"
          @click="kit.meter[key].push({ upTo: blank(), percent: blank(), digits: blank(), digit: blank() })"
        >
          Add a range
        </ActButton>
        <span class="soft"
          >in use, 1σ:
          {{
            instruments[key].map((a) => `${percent(a.relative)} + ${significant(a.absolute, 2)} ${unit}`).join('; ')
          }}</span
        >
      </div>
    </div>
  </div>
</template>

<style scoped>
.kit {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.tools {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 6px 12px;
  align-items: start;
}
.range {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr)) 44px;
  gap: 10px;
}
.range .act {
  margin-top: 20px;
}
h2 {
  font-size: 15px;
  margin: 0 0 4px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
</style>
