<script setup lang="ts">
import { numberPadWords as say } from '@mellow-probe/core/wording/screens/bench';
import ActButton from './base/ActButton.vue';
import type { FieldQuantity } from '@mellow-probe/core/base/units/quantity';
import { computed } from 'vue';
import { reader } from '../browser/writing.ts';

/** Keys for a thumb, with the signs of the trade beside the digits. Types at the end of what stands in the field. */
const props = defineProps<{
  text: string;
  quantity: FieldQuantity;
  /** What the key says that goes on; without it there are only the signs of a figure. */
  next?: string;
}>();
const emit = defineEmits<{ type: [text: string]; next: []; letters: [] }>();

const SIGNS: Partial<Record<FieldQuantity, readonly [string, string, string]>> = {
  ohms: ['k', 'M', 'OL'],
  volts: ['mV', 'V', '-'],
};
const signs = computed(() => SIGNS[props.quantity] ?? ['°C', '°F', '-']);
const rows = computed(() => [
  ['7', '8', '9', signs.value[0]],
  ['4', '5', '6', signs.value[1]],
  ['1', '2', '3', signs.value[2]],
]);
const NAMES: Record<string, string> = { '-': say.minus, k: say.kilo, M: say.mega, OL: say.olOverRange };

function press(key: string): void {
  // OL stands for the whole reading; a minus goes before it.
  if (key === 'OL') emit('type', 'OL');
  else if (key === '-') emit('type', props.text.startsWith('-') ? props.text.slice(1) : `-${props.text}`);
  else emit('type', `${props.text === 'OL' ? '' : props.text}${key.startsWith('°') ? ' ' : ''}${key}`);
}
</script>

<template>
  <div class="pad" role="group" :aria-label="say.numberPad">
    <template v-for="(row, r) in rows" :key="r">
      <ActButton
        kind="bare"
        v-for="(key, k) in row"
        :key="key"
        :class="{ sign: k === 3 }"
        :aria-label="NAMES[key] ?? key"
        @click="press(key)"
      >
        {{ key }}
      </ActButton>
    </template>
    <ActButton kind="bare" aria-label="0" @click="press('0')">0</ActButton>
    <ActButton kind="bare" :aria-label="say.decimalMark" @click="press(reader.decimal)">{{ reader.decimal }}</ActButton>
    <ActButton kind="bare" :aria-label="say.delete" @click="emit('type', text.slice(0, -1))">⌫</ActButton>
    <ActButton v-if="next" kind="bare" class="next" @click="emit('next')">{{ next }} ›</ActButton>
    <ActButton v-if="next" kind="bare" class="letters" @click="emit('letters')">{{ say.moreSigns }}</ActButton>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 7px;
  margin-top: 6px;
}
button {
  min-height: 56px;
  padding: 0;
  border: 1px solid var(--line);
  border-radius: 11px;
  background: var(--sheet);
  font: 600 1.375rem var(--sans);
  touch-action: manipulation;
}
button:active {
  background: var(--spruce-soft);
}
.sign {
  background: var(--spruce-soft);
}
.next {
  border-color: var(--spruce);
  background: var(--spruce);
  color: var(--on-spruce);
  font-size: 1.125rem;
}
.letters {
  grid-column: 1 / -1;
  min-height: 48px;
  border-color: transparent;
  background: transparent;
  color: var(--soft);
  font: 0.9375rem var(--sans);
}
</style>
