<script setup lang="ts">
import { logViewWords as say } from '@mellow-probe/core/wording/screens/logs';
import { CHANNEL_ROLES } from '@mellow-probe/core/intake/logs/channelRoles';
import { clockText, ROLE_NAMES } from '@mellow-probe/core/wording/logText';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import PickList from '../../components/base/PickList.vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import { channelColour, logFigure } from './logFigure.ts';
import type { useLogRoom } from './useLogRoom.ts';

/** The chart of the log in hand, the range of it that is shown, and what each channel is. */
const { lab } = defineProps<{ lab: ReturnType<typeof useLogRoom> }>();
const LogChart = defineAsyncComponent(() => import('./LogChart.vue'));
const preferences = usePreferences();
const hidden = ref(new Set<string>());
watch(lab.shape, () => (hidden.value = new Set()));
const channels = computed(() => lab.shape.value?.channels ?? []);
const lengthS = computed(() => lab.shape.value?.lengthS ?? 0);
const roles = CHANNEL_ROLES.map((value) => ({ value, label: ROLE_NAMES[value] }));
const figure = computed(() =>
  lab.shape.value
    ? logFigure({
        shape: lab.shape.value,
        views: lab.views.value,
        events: lab.analysis.value?.events ?? {},
        range: lab.range.value,
        unit: preferences.temperatureUnit,
        dark: preferences.dark,
        hidden: hidden.value,
        width: lab.width.value - 62,
      })
    : null,
);
const whole = computed(() => lab.range.value[0] <= 0 && lab.range.value[1] >= lengthS.value - 1e-6);
const dense = computed(() => lab.views.value.some((v) => v.x.length < v.of));

function zoom(by: number): void {
  const [from, to] = lab.range.value;
  const [middle, half] = [(from + to) / 2, ((to - from) / 2) * by];
  lab.showRange(middle - half, middle + half);
}
function pan(by: number): void {
  const [from, to] = lab.range.value;
  const shift = (to - from) * by;
  lab.showRange(from + shift, to + shift);
}
function toggle(id: string): void {
  const next = new Set(hidden.value);
  if (!next.delete(id)) next.add(id);
  hidden.value = next;
}
</script>

<template>
  <div class="chart">
    <LogChart
      v-if="figure"
      :figure="figure"
      :label="say.courseOf(channels.map((c) => c.name).join(', '))"
      @range="lab.showRange"
      @whole="lab.showRange(0, lengthS)"
      @width="lab.setWidth"
    />
  </div>
  <div class="tools" role="group" :aria-label="say.range">
    <ActButton kind="quiet" :aria-label="say.earlier" @click="pan(-0.5)">◀</ActButton>
    <ActButton kind="quiet" :aria-label="say.later" @click="pan(0.5)">▶</ActButton>
    <ActButton icon="zoomIn" kind="quiet" @click="zoom(0.4)">{{ say.closer }}</ActButton>
    <ActButton icon="zoomOut" kind="quiet" @click="zoom(2.5)">{{ say.wider }}</ActButton>
    <ActButton icon="columnWidth" kind="quiet" :disabled="whole" @click="lab.showRange(0, lengthS)">{{
      say.wholeLog
    }}</ActButton>
    <span class="soft told" data-test="range"
      >{{ clockText(lab.range.value[0]) }} … {{ clockText(lab.range.value[1]) }}:
      {{ dense ? say.thinned : say.everySample }}</span
    >
  </div>
  <ul class="channels" :aria-label="say.channels">
    <li v-for="(c, n) in channels" :key="c.id" :class="{ off: hidden.has(c.id) }">
      <ActButton
        kind="bare"
        class="swatch"
        :aria-pressed="!hidden.has(c.id)"
        :aria-label="say.show(c.name)"
        @click="toggle(c.id)"
        ><i :style="{ background: channelColour(n, preferences.dark) }"></i
      ></ActButton>
      <span class="name">{{ c.name }}</span>
      <PickList
        :model-value="lab.roles.value[c.id]"
        :label="say.is(c.name)"
        hide-label
        :options="roles"
        @update:model-value="lab.setRole(c.id, $event)"
      />
    </li>
  </ul>
</template>

<style scoped>
.channels {
  list-style: none;
  margin: 0;
  padding: 0;
}
.chart {
  display: flex;
  height: 340px;
  min-width: 0;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 4px;
}
.channels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 4px 16px;
}
.channels li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 180px;
  gap: 6px;
  align-items: center;
}
.channels .name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.off .name {
  color: var(--soft);
  text-decoration: line-through;
}
.swatch {
  min-width: 44px;
  min-height: 44px;
}
.swatch i {
  display: inline-block;
  width: 18px;
  height: 5px;
  border-radius: 2px;
  forced-color-adjust: none;
}
.told {
  font-size: 0.8125rem;
}
@media (max-width: 56.25em) {
  .channels {
    grid-template-columns: minmax(0, 1fr);
  }
  .channels li {
    grid-template-columns: auto minmax(0, 1fr) minmax(0, 1.1fr);
  }
  .chart {
    height: 300px;
  }
}
</style>
