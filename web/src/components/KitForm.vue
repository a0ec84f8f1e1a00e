<script setup lang="ts">
import { kitFormWords as say } from '@mellow-probe/core/wording/screens/components';
import PickList from './base/PickList.vue';
import CheckBox from './base/CheckBox.vue';
import TextField from './base/TextField.vue';
import ActButton from './base/ActButton.vue';
import { type Kit, MOST_RANGES } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { thermometerChoices } from '@mellow-probe/core/wording/thermometerText';
import { TOOLS } from '@mellow-probe/core/base/units/vocabulary';
import { kitIssues } from '@mellow-probe/core/check/job/kitIssues';
import { instrumentsOf, thermometerSigmaK } from '@mellow-probe/core/catalogue/kit/instrumentsOf';
import { ownResistors } from '@mellow-probe/core/catalogue/kit/ownResistors';
import type { FieldQuantity } from '@mellow-probe/core/base/units/quantity';
import type { Entry } from '@mellow-probe/core/base/units/entry';
import { blank } from '@mellow-probe/core/base/units/entry';
import { fixed, significant } from '@mellow-probe/core/base/units/writing';
import { computed } from 'vue';
import EntryField from './EntryField.vue';

/** A kit as a form: tools at hand, meter by ranges, thermometer, resistors, how hard the places are to reach. */
const kit = defineModel<Kit>({ required: true });
const NAMES = {
  meter: say.meter,
  thermometer: say.thermometer,
  'live-data': say.scanTool,
  resistors: say.resistorSource,
  jumper: say.jumper,
  'module-access': say.moduleWithinReach,
  bath: say.potOfWater,
  'second-sensor': say.aSecondSensor,
} as const;
const PLACES = [
  ['plug', say.sensorPlug],
  ['module', say.module],
  ['sensor', say.removing],
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
    label: say.inputOnVolts,
    quantity: 'ohms',
    hint: say.common10M,
    path: 'meter.inputOhm',
    get: () => kit.value.meter.inputOhm,
    set: (e) => (kit.value.meter.inputOhm = e),
  },
  {
    label: say.olAbove,
    quantity: 'ohms',
    hint: say.common20M,
    path: 'meter.overloadOhm',
    get: () => kit.value.meter.overloadOhm,
    set: (e) => (kit.value.meter.overloadOhm = e),
  },
  {
    label: say.leadsNotZeroed,
    quantity: 'ohms',
    hint: say.common0Zeroed,
    path: 'meter.leadOhm',
    get: () => kit.value.meter.leadOhm,
    set: (e) => (kit.value.meter.leadOhm = e),
  },
  {
    label: say.thermometerK,
    quantity: 'number',
    hint: say.now1K(fixed(thermometerSigmaK(kit.value), 2)),
    path: 'thermometerK',
    get: () => kit.value.thermometerK,
    set: (e) => (kit.value.thermometerK = e),
  },
  {
    label: say.displayedValueK,
    quantity: 'number',
    hint: say.now1K(fixed(instruments.value.displayedK, 2)),
    path: 'displayedK',
    get: () => kit.value.displayedK,
    set: (e) => (kit.value.displayedK = e),
  },
  {
    label: say.resistors,
    quantity: 'number',
    hint: say.common1,
    path: 'resistors.tolerancePercent',
    get: () => kit.value.resistors.tolerancePercent,
    set: (e) => (kit.value.resistors.tolerancePercent = e),
  },
]);
const RANGES = [
  ['volts', say.volts, 'V'],
  ['ohms', say.ohms, 'Ω'],
] as const;
const thermometers = computed(() => thermometerChoices(kit.value));
const REACH = [
  { value: 'easy', label: say.easyToReach },
  { value: 'usual', label: say.usual },
  { value: 'hard', label: say.hardToReach },
] as const;
const DRAWERS = (['E6', 'E12', 'E24', 'E48', 'E96', 'own'] as const).map((value) => ({
  value,
  label: value === 'own' ? say.whatIOwn : value,
}));
</script>

<template>
  <div class="kit">
    <TextField v-model="kit.name" :label="say.kitName" :maxlength="400" :placeholder="say.kitNameHint" />
    <div role="group" :aria-label="say.atHand" class="tools">
      <CheckBox
        v-for="t in TOOLS"
        :key="t"
        :model-value="kit.tools.includes(t)"
        @update:model-value="toggle(t, $event)"
        >{{ NAMES[t] }}</CheckBox
      >
    </div>
    <div class="fields">
      <PickList v-model="kit.thermometer" :label="say.thermometer" :options="thermometers" />
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
      <PickList v-model="kit.resistors.series" :label="say.drawer" :options="DRAWERS" />
      <TextField
        v-if="kit.resistors.series === 'own'"
        v-model="kit.resistors.own"
        :label="say.resistorsIOwn"
        :maxlength="2000"
        placeholder="100, 220, 1k, 4k7"
      />
    </div>
    <p v-if="drawer.unread.length > 0" class="told odd">{{ say.notRead(drawer.unread.join(', ')) }}</p>
    <div v-for="[key, name, unit] in RANGES" :key="key">
      <h2>{{ say.byRange(name) }}</h2>
      <div v-for="(r, i) in kit.meter[key]" :key="i" class="range">
        <EntryField
          :label="say.upTo(unit)"
          :quantity="key"
          v-model="r.upTo"
          :issue="issues.get(`kit.meter.${key}.${i}.upTo`)"
        />
        <EntryField
          :label="say.ofReading"
          quantity="number"
          v-model="r.percent"
          :issue="issues.get(`kit.meter.${key}.${i}.percent`)"
        />
        <EntryField
          :label="say.digits"
          quantity="number"
          v-model="r.digits"
          :issue="issues.get(`kit.meter.${key}.${i}.digits`)"
        />
        <EntryField
          :label="say.oneDigit(unit)"
          :quantity="key"
          v-model="r.digit"
          :issue="issues.get(`kit.meter.${key}.${i}.digit`)"
        />
        <ActButton kind="quiet" :aria-label="say.removeRange(name, i + 1)" @click="kit.meter[key].splice(i, 1)">
          ✕
        </ActButton>
      </div>
      <div class="row">
        <ActButton
          :disabled="kit.meter[key].length >= MOST_RANGES"
          @click="kit.meter[key].push({ upTo: blank(), percent: blank(), digits: blank(), digit: blank() })"
        >
          {{ say.addARange }}
        </ActButton>
        <span class="soft">{{
          say.inUse1(
            instruments[key].map((a) => `${percent(a.relative)} + ${significant(a.absolute, 2)} ${unit}`).join('; '),
          )
        }}</span>
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
  font-size: 0.9375rem;
  margin: 0 0 4px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
</style>
