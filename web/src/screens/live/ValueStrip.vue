<script setup lang="ts">
import { valueStripWords as say } from '@mellow-probe/core/wording/screens/live';
import { formatQuantity } from '@mellow-probe/core/base/units/format';
import { standStillText } from '@mellow-probe/core/wording/liveText';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { computed } from 'vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import type { LiveChannel } from '../../data/stores/live/liveChannels.ts';

/** One channel while it is read: its value large, whether it stands, and its last minute. */
const props = defineProps<{
  own: LiveChannel;
  beat: number;
  nowS: number;
  /** A value older than this is shown as gone, s. */ freshS: number;
}>();
const preferences = usePreferences();
const SPAN_S = 60;
const [WIDTH, HEIGHT] = [300, 44];

const last = computed(() => (void props.beat, props.own.recent[props.own.recent.length - 1]));
const stale = computed(() => !last.value || props.nowS - last.value.timeS > props.freshS);
const quantity = computed(() => props.own.channel.quantity);
const value = computed(() =>
  !last.value
    ? '—'
    : quantity.value === 'volts'
      ? `${fixed(last.value.value, 3)} V`
      : formatQuantity(last.value.value, quantity.value, preferences.temperatureUnit),
);
const still = computed(() => (void props.beat, props.own.still));
const says = computed(() =>
  stale.value ? say.nothingComes : standStillText(still.value, quantity.value, preferences.temperatureUnit),
);
/** The last minute as a line; its scale is that of what it shows, at least some steps of the display. */
const strip = computed(() => {
  void props.beat;
  const shown = props.own.recent.filter((s) => Number.isFinite(s.value));
  if (shown.length < 2) return { path: '', low: '', high: '' };
  let [low, high] = [Infinity, -Infinity];
  for (const s of shown) [low, high] = [Math.min(low, s.value), Math.max(high, s.value)];
  const least = quantity.value === 'celsius' ? 4 : 0.02 * Math.max(Math.abs(high), quantity.value === 'volts' ? 1 : 10);
  if (high - low < least) [low, high] = [(low + high - least) / 2, (low + high + least) / 2];
  const x = (t: number): string => (WIDTH * (1 - (props.nowS - t) / SPAN_S)).toFixed(1);
  const y = (v: number): string => (2 + (HEIGHT - 4) * (1 - (v - low) / (high - low))).toFixed(1);
  return {
    path: `M${shown.map((s) => `${x(s.timeS)} ${y(s.value)}`).join('L')}`,
    low: formatQuantity(low, quantity.value, preferences.temperatureUnit),
    high: formatQuantity(high, quantity.value, preferences.temperatureUnit),
  };
});
</script>

<template>
  <article class="strip sheet" :data-channel="own.channel.id" :aria-label="own.channel.name">
    <div class="name">{{ own.channel.name }}</div>
    <div class="value mono" :class="{ stale }" data-test="live-value">{{ value }}</div>
    <div class="says" :class="{ still: still.still && !stale }">{{ says }}</div>
    <div class="course">
      <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" aria-hidden="true">
        <path :d="strip.path" />
      </svg>
      <span class="limit top">{{ strip.high }}</span>
      <span class="limit">{{ strip.low }}</span>
    </div>
    <div class="acts"><slot /></div>
  </article>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template: 'name course acts' auto 'value course acts' auto 'says course acts' auto / 190px minmax(0, 1fr) auto;
  gap: 0 14px;
  padding: 8px 12px;
  align-items: center;
}
.name {
  grid-area: name;
  font-weight: 600;
}
.value {
  grid-area: value;
  font-size: 1.6875rem;
  line-height: 1.25;
  white-space: nowrap;
}
.stale {
  color: var(--soft);
}
.says {
  grid-area: says;
  font-size: 0.8125rem;
  color: var(--soft);
}
.still {
  color: var(--moss);
}
.course {
  grid-area: course;
  position: relative;
  height: 64px;
  border-left: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
path {
  fill: none;
  stroke: var(--amber);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.limit {
  position: absolute;
  left: 6px;
  bottom: 0;
  font: 0.7188rem var(--mono);
  color: var(--soft);
  /* The line goes behind the figure, not through it. */
  background: var(--sheet);
}
.top {
  top: 0;
  bottom: auto;
}
.acts {
  grid-area: acts;
}
@media (max-width: 38.75em) {
  .strip {
    grid-template: 'name acts' auto 'value acts' auto 'says says' auto 'course course' auto / minmax(0, 1fr) auto;
    padding: 8px 10px;
  }
  .value {
    font-size: 1.5rem;
  }
  .course {
    height: 40px;
  }
}
</style>
