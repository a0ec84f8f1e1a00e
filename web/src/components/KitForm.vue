<script setup lang="ts">
import { type Kit, MOST_RANGES } from '@mellow-probe/core/kit/kitSchema';
import { type ThermometerKind, TOOLS } from '@mellow-probe/core/units/vocabulary';
import { instrumentsOf, thermometerSigmaK } from '@mellow-probe/core/kit/instrumentsOf';
import { ownResistors } from '@mellow-probe/core/kit/ownResistors';
import type { FieldQuantity } from '@mellow-probe/core/units/quantity';
import type { Entry } from '@mellow-probe/core/units/entry';
import { blank } from '@mellow-probe/core/units/entry';
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
const instruments = computed(() => instrumentsOf(kit.value));
const drawer = computed(() => ownResistors(kit.value.resistors));
const percent = (x: number): string => `${(100 * x).toFixed(2)} %`;
function toggle(tool: (typeof TOOLS)[number], on: boolean): void {
  kit.value.tools = on
    ? [...kit.value.tools.filter((t) => t !== tool), tool]
    : kit.value.tools.filter((t) => t !== tool);
}
const single = computed<
  { label: string; quantity: FieldQuantity; hint: string; get: () => Entry; set: (e: Entry) => void }[]
>(() => [
  {
    label: 'Input on volts',
    quantity: 'ohms',
    hint: 'common: 10 MΩ',
    get: () => kit.value.meter.inputOhm,
    set: (e) => (kit.value.meter.inputOhm = e),
  },
  {
    label: 'OL above',
    quantity: 'ohms',
    hint: 'common: 20 MΩ',
    get: () => kit.value.meter.overloadOhm,
    set: (e) => (kit.value.meter.overloadOhm = e),
  },
  {
    label: 'Leads (not zeroed)',
    quantity: 'ohms',
    hint: 'common: 0, zeroed',
    get: () => kit.value.meter.leadOhm,
    set: (e) => (kit.value.meter.leadOhm = e),
  },
  {
    label: 'Thermometer, ± K',
    quantity: 'number',
    hint: `now 1σ ${thermometerSigmaK(kit.value).toFixed(2)} K`,
    get: () => kit.value.thermometerK,
    set: (e) => (kit.value.thermometerK = e),
  },
  {
    label: 'Displayed value, ± K',
    quantity: 'number',
    hint: `now 1σ ${instruments.value.displayedK.toFixed(2)} K`,
    get: () => kit.value.displayedK,
    set: (e) => (kit.value.displayedK = e),
  },
  {
    label: 'Resistors, ± %',
    quantity: 'number',
    hint: 'common: 1 %',
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
</script>

<template>
  <div class="kit">
    <label class="line"
      >Name of the kit
      <input v-model="kit.name" class="text" maxlength="400" placeholder="meter and thermometer, for the report"
    /></label>
    <div role="group" aria-label="At hand" class="tools">
      <label v-for="t in TOOLS" :key="t"
        ><input
          type="checkbox"
          :checked="kit.tools.includes(t)"
          @change="toggle(t, ($event.target as HTMLInputElement).checked)"
        />{{ NAMES[t] }}</label
      >
    </div>
    <div class="fields">
      <label class="line"
        >Thermometer
        <select v-model="kit.thermometer">
          <option v-for="(name, id) in THERMOMETER_NAMES" :key="id" :value="id">{{ name }}</option>
        </select>
      </label>
      <label v-for="[key, name] in PLACES" :key="key" class="line"
        >{{ name }}
        <select v-model="kit.access[key]">
          <option value="easy">easy to reach</option>
          <option value="usual">usual</option>
          <option value="hard">hard to reach</option>
        </select>
      </label>
      <EntryField
        v-for="f in single"
        :key="f.label"
        :model-value="f.get()"
        :label="f.label"
        :quantity="f.quantity"
        :hint="f.hint"
        @update:model-value="f.set"
      />
      <label class="line"
        >Drawer
        <select v-model="kit.resistors.series">
          <option v-for="s in ['E6', 'E12', 'E24', 'E48', 'E96'] as const" :key="s" :value="s">{{ s }}</option>
          <option value="own">what I own</option>
        </select>
      </label>
      <label v-if="kit.resistors.series === 'own'" class="line"
        >Resistors I own
        <input v-model="kit.resistors.own" class="text" maxlength="2000" placeholder="100, 220, 1k, 4k7"
      /></label>
    </div>
    <p v-if="drawer.unread.length > 0" class="told odd">Not read: {{ drawer.unread.join(', ') }}.</p>
    <div v-for="[key, name, unit] in RANGES" :key="key">
      <h2>{{ name }}, by range of the data sheet</h2>
      <div v-for="(r, i) in kit.meter[key]" :key="i" class="range">
        <EntryField :label="`up to (${unit})`" :quantity="key" v-model="r.upTo" />
        <EntryField label="± % of reading" quantity="number" v-model="r.percent" />
        <EntryField label="± digits" quantity="number" v-model="r.digits" />
        <EntryField :label="`one digit (${unit})`" :quantity="key" v-model="r.digit" />
        <button
          class="act quiet"
          type="button"
          :aria-label="`Remove ${name} range ${i + 1}`"
          @click="kit.meter[key].splice(i, 1)"
        >
          ✕
        </button>
      </div>
      <div class="row">
        <button
          class="act"
          type="button"
          :disabled="kit.meter[key].length >= MOST_RANGES"
          @click="kit.meter[key].push({ upTo: blank(), percent: blank(), digits: blank(), digit: blank() })"
        >
          Add a range
        </button>
        <span class="soft"
          >in use, 1σ:
          {{
            instruments[key]
              .map((a) => `${percent(a.relative)} + ${Number(a.absolute.toPrecision(2))} ${unit}`)
              .join('; ')
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
.tools label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 40px;
}
.tools input {
  width: 20px;
  height: 20px;
  accent-color: var(--spruce);
}
.line {
  display: flex;
  flex-direction: column;
  gap: 2px;
  font-size: 13px;
  font-weight: 600;
}
.line > * {
  font-weight: 400;
  font-size: 15px;
  min-height: 44px;
  border: 1.5px solid var(--line-strong);
  border-radius: 9px;
  background: var(--field);
  padding: 0 10px;
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
