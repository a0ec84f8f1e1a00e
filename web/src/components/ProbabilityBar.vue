<script setup lang="ts">
import { formatProbability } from '@mellow-probe/core/base/units/format';

/** One probability as a bar with its figure; the leading one by pattern as well as colour. */
defineProps<{ label: string; probability: number; leading?: boolean }>();
</script>

<template>
  <div class="probability" :class="{ leading }">
    <span>{{ label }}</span>
    <span class="bar"><span class="fill" :style="{ width: `${Math.max(probability * 100, 0.6)}%` }"></span></span>
    <span class="mono figure">{{ formatProbability(probability) }}</span>
  </div>
</template>

<style scoped>
.probability {
  display: grid;
  grid-template-columns: var(--label, 128px) 1fr 50px;
  gap: 8px;
  align-items: center;
  font-size: 0.875rem;
  height: 21px;
}
.leading {
  font-weight: 600;
}
.bar {
  height: 12px;
  border-radius: 3px;
  background: var(--bar);
  overflow: hidden;
}
.fill {
  display: block;
  height: 100%;
  background: var(--spruce);
}
.leading .fill {
  background: repeating-linear-gradient(
    135deg,
    var(--amber) 0 6px,
    color-mix(in srgb, var(--amber) 70%, var(--ink)) 6px 9px
  );
}
/* With the system's own colours a ground says nothing, unless it is said that it does. */
@media (forced-colors: active) {
  .bar {
    border: 1px solid CanvasText;
  }
  .fill,
  .leading .fill {
    forced-color-adjust: none;
    background: Highlight;
  }
}
.figure {
  text-align: right;
  font-size: 0.8125rem;
}
</style>
