<script setup lang="ts">
import ActButton from './base/ActButton.vue';
import { usePreferences } from '../stores/preferences.ts';
import { deviceDecimal, deviceDayPattern } from '../browser/writing.ts';
import AskSheet from './base/AskSheet.vue';
import ChoiceRow from './base/ChoiceRow.vue';
import dayjs from 'dayjs';

/** What the keys do and how figures are typed. Opens with `?`. */
const open = defineModel<boolean>('open', { required: true });
const { tour } = defineProps<{ tour?: (() => void) | undefined }>();
const preferences = usePreferences();
const now = dayjs();
const DECIMALS = [
  { value: 'device', label: `as this device: 12${deviceDecimal()}5` },
  { value: '.', label: '12.5' },
  { value: ',', label: '12,5' },
] as const;
const DAYS = [
  { value: 'device', label: `as this device: ${now.format(deviceDayPattern())}` },
  { value: 'iso', label: now.format('YYYY-MM-DD') },
] as const;
function showRound(): void {
  open.value = false;
  tour?.();
}
</script>

<template>
  <AskSheet v-model:open="open" title="Keys and figures" :width="560">
    <dl>
      <dt><kbd>Tab</kbd></dt>
      <dd>next figure</dd>
      <dt><kbd>Enter</kbd></dt>
      <dd>on a card: to the next test without a reading</dd>
      <dt><kbd>N</kbd></dt>
      <dd>to the proposed test</dd>
      <dt><kbd>J</kbd> <kbd>K</kbd></dt>
      <dd>next, previous station of the order of work</dd>
      <dt><kbd>E</kbd></dt>
      <dd>into the field of the card</dd>
      <dt><kbd>Esc</kbd></dt>
      <dd>out of a field, so that the keys work</dd>
      <dt><kbd>Q</kbd></dt>
      <dd>quick check</dd>
      <dt><kbd>D</kbd></dt>
      <dd>decision</dd>
      <dt><kbd>R</kbd></dt>
      <dd>read far: for two metres; figures typed there are taken with Enter</dd>
      <dt><kbd>P</kbd></dt>
      <dd>report</dd>
      <dt><kbd>C</kbd></dt>
      <dd>in the ledger: new check</dd>
      <dt><kbd>U</kbd></dt>
      <dd>°C or °F</dd>
      <dt><kbd>?</kbd></dt>
      <dd>this list</dd>
    </dl>
    <ActButton v-if="tour" @click="showRound">Show me round the bench</ActButton>
    <p>
      Figures are typed as they are spoken: <span class="mono">4k7</span>, <span class="mono">2.88k</span>,
      <span class="mono">11 883</span>, <span class="mono">OL</span>, <span class="mono">1880 mV</span>,
      <span class="mono">64F</span>, <span class="mono">3,28</span>. What can be read in two ways is asked. The unit
      typed wins.
    </p>
    <div class="written">
      <span>Figures are written</span>
      <ChoiceRow v-model="preferences.decimal" label="Figures are written" :options="DECIMALS" />
      <span>Days are written</span>
      <ChoiceRow v-model="preferences.days" label="Days are written" :options="DAYS" />
    </div>
    <p>
      The tool advises. The maker’s data, local codes and the licensed practitioner decide. Cold systems only; keep
      clear of fans; bridge no wire you have not identified; never leave a substitute resistor in.
    </p>
  </AskSheet>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 6px;
}
dd {
  margin: 0;
}
.written {
  display: grid;
  grid-template-columns: 150px 1fr;
  align-items: center;
}
@media (max-width: 620px) {
  .written {
    grid-template-columns: 1fr;
  }
}
p {
  margin: 10px 0;
}
</style>
