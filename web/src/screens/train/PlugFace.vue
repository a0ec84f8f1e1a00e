<script setup lang="ts">
import { plugFaceWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import { computed } from 'vue';

/** The plug as one looks into it: three numbered cavities, what is known of them, what is to be seen. Drawn, for want of a photograph. */
const props = defineProps<{
  /** What each cavity is, where the diagram was looked into. */
  known: readonly string[] | null;
  /** Ids of the findings that were seen. */
  seen: readonly string[];
  /** The two cavities that something sits across, "1-2"; null: nothing does. */
  across: string | null;
}>();
const X = [60, 130, 200];
const names = computed(() => props.known?.map((k) => (k === 'supply' ? say.live : k)) ?? ['', '', '']);
const wire = computed(() => {
  if (!props.across) return null;
  const [a, b] = props.across.split('-').map((n) => X[Number(n) - 1]);
  return `M${a} 44 C ${a} 4, ${b} 4, ${b} 44`;
});
const has = (id: string): boolean => props.seen.includes(id);
const label = computed(() => {
  const cavities = names.value.map((n, i) => `${i + 1}${n ? ` ${n}` : ''}`).join(', ');
  return props.across ? say.acrossLabel(cavities, props.across) : say.plugWithCavities(cavities);
});
</script>

<template>
  <svg viewBox="0 0 260 118" class="plug" role="img" :aria-label="label">
    <path v-if="has('chafed')" d="M18 108 l10 -7 l8 7 l9 -7 l8 7" class="chafed" />
    <rect x="24" y="20" width="212" height="62" rx="15" class="shell" :class="{ bent: has('crash-damage') }" />
    <rect x="112" y="12" width="36" height="9" rx="3" class="shell" />
    <g v-for="(x, i) in X" :key="x">
      <rect :x="x - 14" y="34" width="28" height="30" rx="4" class="cavity" />
      <rect :x="x - 5" y="40" width="10" height="18" rx="2" class="pin" />
      <text :x="x" y="78" class="number">{{ i + 1 }}</text>
      <text :x="x" y="98" class="name">{{ names[i] }}</text>
    </g>
    <g v-if="has('corrosion')" class="bloom">
      <circle
        v-for="[x, y, r] in [
          [52, 42, 3.5],
          [66, 55, 3],
          [58, 60, 2.4],
          [137, 46, 2.6],
        ]"
        :key="x"
        :cx="x"
        :cy="y"
        :r="r"
      />
    </g>
    <g v-if="has('moisture')" class="drops">
      <path v-for="x in [88, 168, 214]" :key="x" :d="`M${x} 84 c -5 8 -5 13 0 13 c 5 0 5 -5 0 -13`" />
    </g>
    <path v-if="wire" :d="wire" class="wire" />
  </svg>
</template>

<style scoped>
.plug {
  width: 100%;
  max-width: 260px;
  height: auto;
  display: block;
}
.shell {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.bent {
  stroke-dasharray: 26 5 9 4;
}
.cavity {
  fill: var(--bar);
  stroke: var(--line-strong);
}
.pin {
  fill: var(--amber);
}
.number,
.name {
  font: 0.75rem var(--sans);
  text-anchor: middle;
  fill: var(--ink);
}
.number {
  font: 600 0.75rem var(--mono);
}
.bloom circle {
  fill: var(--moss);
}
.drops path {
  fill: none;
  stroke: var(--spruce);
  stroke-width: 1.6;
}
.chafed {
  fill: none;
  stroke: var(--clay);
  stroke-width: 2.4;
}
.wire {
  fill: none;
  stroke: var(--clay);
  stroke-width: 3;
}
@media (forced-colors: active) {
  .plug * {
    forced-color-adjust: none;
  }
}
</style>
