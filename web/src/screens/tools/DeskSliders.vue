<script setup lang="ts">
import { deskSlidersWords as say } from '@mellow-probe/core/wording/screens/tools';
import CheckBox from '../../components/base/CheckBox.vue';
import SlideBar from '../../components/base/SlideBar.vue';
import type { DeskFaults } from '@mellow-probe/core/tools/divider/divider';
import { computed } from 'vue';
import { formatOhm } from '@mellow-probe/core/base/units/format';
import { fixed } from '@mellow-probe/core/base/units/writing';

/** What is set on the desk, by slider: wire, a bad joint, leaks, the meter. */
const props = defineProps<{ faults: DeskFaults }>();
const wireM = defineModel<number>('wireM', { required: true });
const wireMm2 = defineModel<number>('wireMm2', { required: true });
const series = defineModel<number>('series', { required: true });
const leakGround = defineModel<number>('leakGround', { required: true });
const leakAcross = defineModel<number>('leakAcross', { required: true });
const meterOn = defineModel<boolean>('meterOn', { required: true });
const leak = (ohm: number): string => (ohm === Infinity ? say.none : formatOhm(ohm));
const slides = computed(() => {
  const { wireOhm, seriesOhm, leakGroundOhm, leakAcrossOhm } = props.faults;
  const share = { low: 0, high: 1, step: 0.01 };
  return [
    { label: say.wireOneWay, at: wireM, text: `${wireM.value} m = ${formatOhm(wireOhm)}`, low: 0, high: 200, step: 1 },
    { label: say.itsCopper, at: wireMm2, text: say.mm(fixed(wireMm2.value, 2)), low: 0.1, high: 2.5, step: 0.05 },
    { label: say.badJoint, at: series, text: seriesOhm === 0 ? say.none : formatOhm(seriesOhm), ...share },
    { label: say.leakToGround, at: leakGround, text: leak(leakGroundOhm), ...share },
    { label: say.leakAcross, at: leakAcross, text: leak(leakAcrossOhm), ...share },
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
    <CheckBox v-model="meterOn">{{ say.meterOn }}</CheckBox>
  </div>
</template>
