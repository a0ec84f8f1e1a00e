<script setup lang="ts">
import type { Interval } from '@mellow-probe/core/base/numeric/interval';
import type { Quantity } from '@mellow-probe/core/base/units/quantity';
import { computed } from 'vue';
import { meterScale } from '../../components/meterScale.ts';

/** What a test can show, as numbered bands on the scale of the meter; what each would leave stands beside its number below. */
const props = defineProps<{ intervals: readonly Interval[]; quantity: Quantity }>();
const bands = computed(() => {
  const at = meterScale(props.intervals, [], props.quantity);
  return props.intervals.map(({ low, high }) => {
    const [from, to] = [at(low), at(high)];
    // A narrow band still holds its number.
    const width = Math.max(to - from, 7);
    return { from: Math.min(Math.max(0, (from + to - width) / 2), 100 - width), width };
  });
});
</script>

<template>
  <div class="scale" aria-hidden="true" data-test="outcome-scale">
    <span v-for="(b, i) in bands" :key="i" class="band" :style="{ left: `${b.from}%`, width: `${b.width}%` }">
      {{ i + 1 }}
    </span>
  </div>
</template>

<style scoped>
.scale {
  position: relative;
  height: 22px;
  margin: 2px 0 4px;
  background: linear-gradient(currentColor, currentColor) center / 100% 1px no-repeat;
}
.band {
  position: absolute;
  top: 1px;
  height: 20px;
  border-radius: 6px;
  background: var(--on-spruce);
  color: var(--spruce);
  border: 1px solid var(--spruce);
  font-size: 0.75rem;
  font-weight: 600;
  line-height: 18px;
  text-align: center;
}
</style>
