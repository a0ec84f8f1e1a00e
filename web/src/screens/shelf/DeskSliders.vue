<script setup lang="ts">
import CheckBox from '../../components/base/CheckBox.vue';
import SlideBar from '../../components/base/SlideBar.vue';
import type { DeskFaults } from '@mellow-probe/core/divider/divider';
import { computed } from 'vue';
import { formatOhm } from '@mellow-probe/core/units/format';
import { fixed } from '@mellow-probe/core/units/writing';

/** What is set on the desk, by slider: wire, a bad joint, leaks, the meter. */
const props = defineProps<{ faults: DeskFaults }>();
const wireM = defineModel<number>('wireM', { required: true });
const wireMm2 = defineModel<number>('wireMm2', { required: true });
const series = defineModel<number>('series', { required: true });
const leakGround = defineModel<number>('leakGround', { required: true });
const leakAcross = defineModel<number>('leakAcross', { required: true });
const meterOn = defineModel<boolean>('meterOn', { required: true });
const leak = (ohm: number): string => (ohm === Infinity ? 'none' : formatOhm(ohm));
const slides = computed(() => {
  const { wireOhm, seriesOhm, leakGroundOhm, leakAcrossOhm } = props.faults;
  const share = { low: 0, high: 1, step: 0.01 };
  return [
    { label: 'Wire, one way', at: wireM, text: `${wireM.value} m = ${formatOhm(wireOhm)}`, low: 0, high: 200, step: 1 },
    { label: 'Its copper', at: wireMm2, text: `${fixed(wireMm2.value, 2)} mm²`, low: 0.1, high: 2.5, step: 0.05 },
    { label: 'Joint in the signal', at: series, text: seriesOhm === 0 ? 'none' : formatOhm(seriesOhm), ...share },
    { label: 'Leak to ground', at: leakGround, text: leak(leakGroundOhm), ...share },
    { label: 'Leak across the plug', at: leakAcross, text: leak(leakAcrossOhm), ...share },
  ];
});
</script>

<template>
  <div class="sliders">
    <SlideBar
      v-for="slide in slides"
      :key="slide.label"
      :model-value="slide.at.value"
      v-bind="{ label: slide.label, text: slide.text, low: slide.low, high: slide.high, step: slide.step }"
      @update:model-value="slide.at.value = $event"
    />
    <CheckBox v-model="meterOn">meter on the pin (10 MΩ)</CheckBox>
  </div>
</template>
