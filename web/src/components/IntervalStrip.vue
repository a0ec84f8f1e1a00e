<script setup lang="ts">
import { intervalStripWords as say } from '@mellow-probe/core/wording/screens/components';
import type { Interval } from '@mellow-probe/core/base/numeric/interval';
import type { Quantity } from '@mellow-probe/core/base/units/quantity';
import { computed } from 'vue';
import { meterScale } from './meterScale.ts';

/** A measured value as a tick over one predicted interval, on a scale that holds all intervals of the row. OL stands at the right end. */
const props = defineProps<{
  interval: Interval;
  value: number;
  all: readonly Interval[];
  quantity: Quantity;
  words: string;
}>();

const place = computed(() => {
  const { interval, value, all, quantity } = props;
  const share = meterScale(all, [value], quantity);
  const [left, right] = [share(interval.low), share(interval.high)];
  const middle = share(value);
  const slack = 1e-9 * (1 + Math.abs(Number.isFinite(value) ? value : 0));
  const off = value < interval.low - slack || value > interval.high + slack;
  return { left, width: Math.max(right - left, 3), middle, off };
});
</script>

<template>
  <div
    class="strip"
    :class="{ off: place.off }"
    role="img"
    :aria-label="place.off ? say.predictedOff(words) : say.predictedFits(words)"
    :title="words"
  >
    <span class="span" :style="{ left: `${place.left}%`, width: `${place.width}%` }"></span>
    <span class="tick" :style="{ left: `${place.middle}%` }"></span>
    <span v-if="place.off" class="cross">✕</span>
  </div>
</template>

<style scoped>
.strip {
  position: relative;
  height: 20px;
  background: linear-gradient(var(--line), var(--line)) center / 100% 1px no-repeat;
}
.span {
  position: absolute;
  top: 5px;
  height: 10px;
  border-radius: 5px;
  background: var(--strip);
}
.off .span {
  background: var(--strip-off);
}
.tick {
  position: absolute;
  top: 1px;
  width: 3px;
  height: 18px;
  margin-left: -1.5px;
  border-radius: 2px;
  background: var(--ink);
}
@media (forced-colors: active) {
  .strip {
    border-bottom: 1px solid CanvasText;
  }
  .span,
  .tick {
    forced-color-adjust: none;
    background: Highlight;
  }
  .off .span {
    background: GrayText;
  }
  .tick {
    background: CanvasText;
  }
}
.cross {
  position: absolute;
  right: -2px;
  top: -2px;
  font-size: 0.6875rem;
  color: var(--clay);
}
</style>
