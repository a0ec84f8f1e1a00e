<script setup lang="ts">
import type { DeskFaults } from '@mellow-probe/core/divider/divider';
import { formatOhm } from '@mellow-probe/core/units/format';

/** What is set on the desk, by slider: wire, a bad joint, leaks, the meter. */
defineProps<{ faults: DeskFaults }>();
const wireM = defineModel<number>('wireM', { required: true });
const wireMm2 = defineModel<number>('wireMm2', { required: true });
const series = defineModel<number>('series', { required: true });
const leakGround = defineModel<number>('leakGround', { required: true });
const leakAcross = defineModel<number>('leakAcross', { required: true });
const meterOn = defineModel<boolean>('meterOn', { required: true });
const leak = (ohm: number): string => (ohm === Infinity ? 'none' : formatOhm(ohm));
</script>

<template>
  <div class="sliders">
    <label
      >wire, one way <input v-model.number="wireM" type="range" min="0" max="200" step="1" aria-label="Wire length" />
      <span class="mono">{{ wireM }} m = {{ formatOhm(faults.wireOhm) }}</span></label
    >
    <label
      >copper <input v-model.number="wireMm2" type="range" min="0.1" max="2.5" step="0.05" aria-label="Wire size" />
      <span class="mono">{{ wireMm2.toFixed(2) }} mm²</span></label
    >
    <label
      >joint in the signal
      <input v-model.number="series" type="range" min="0" max="1" step="0.01" aria-label="Series resistance" />
      <span class="mono">{{ faults.seriesOhm === 0 ? 'none' : formatOhm(faults.seriesOhm) }}</span></label
    >
    <label
      >leak to ground
      <input v-model.number="leakGround" type="range" min="0" max="1" step="0.01" aria-label="Leak to ground" />
      <span class="mono">{{ leak(faults.leakGroundOhm) }}</span></label
    >
    <label
      >leak across the plug
      <input v-model.number="leakAcross" type="range" min="0" max="1" step="0.01" aria-label="Leak across the plug" />
      <span class="mono">{{ leak(faults.leakAcrossOhm) }}</span></label
    >
    <label class="check"><input v-model="meterOn" type="checkbox" />meter on the pin (10 MΩ)</label>
  </div>
</template>

<style scoped>
label {
  display: grid;
  grid-template-columns: 140px minmax(60px, 1fr) 130px;
  gap: 8px;
  align-items: center;
  min-height: 34px;
  font-size: 14px;
}
label.check {
  display: flex;
}
input[type='range'] {
  width: 100%;
  min-height: 34px;
  accent-color: var(--spruce);
}
.check input {
  width: 20px;
  height: 20px;
}
</style>
