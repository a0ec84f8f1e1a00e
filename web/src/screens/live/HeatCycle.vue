<script setup lang="ts">
import { heatCycleWords as say } from '@mellow-probe/core/wording/screens/live';
import { CYCLE, type CycleLook, judgeCycle } from '@mellow-probe/core/intake/logs/heatCycle';
import { formatQuantity } from '@mellow-probe/core/base/units/format';
import { cycleText } from '@mellow-probe/core/wording/liveText';
import { clockText } from '@mellow-probe/core/wording/logText';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import ChoiceRow from '../../components/base/ChoiceRow.vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useLive } from '../../data/stores/live/live.ts';

/** The heat-cycle test, step by step: cold, hot, and again ten minutes after the heat. Some sensors fail only then. */
const emit = defineEmits<{ done: [text: string, id: 'jumps-when-heated' | 'falls-when-heated' | null] }>();
const live = useLive();
const preferences = usePreferences();
const temperatures = computed(
  () => (void live.beat, [...live.channels.values()].filter((c) => c.channel.quantity === 'celsius')),
);
const sensor = ref<string>();
const sensorId = computed(
  () => sensor.value ?? temperatures.value.find((c) => c.instrument !== 'thermometer')?.channel.id,
);
const STEPS = [
  {
    id: 'before',
    name: say.cold,
    what: say.coldHelp,
  },
  {
    id: 'hot',
    name: say.hot,
    what: say.hotHelp,
  },
  { id: 'after', name: say.after, what: say.afterHelp },
] as const;
const looks = ref<Record<(typeof STEPS)[number]['id'], CycleLook | null>>({ before: null, hot: null, after: null });
const verdict = computed(() => judgeCycle(looks.value));
const next = computed(() => STEPS.find((s) => looks.value[s.id] === null));
const valueOf = (id: string | undefined): number | null => {
  void live.beat;
  const own = id ? live.channels.get(id) : undefined;
  const last = own?.recent[own.recent.length - 1];
  return last && Number.isFinite(last.value) && live.clockS() - last.timeS < live.freshS() ? last.value : null;
};
const besideId = computed(() => temperatures.value.find((c) => c.instrument === 'thermometer')?.channel.id);
const now = computed(() => ({ sensor: valueOf(sensorId.value), beside: valueOf(besideId.value) }));
const waitS = computed(() => {
  void live.beat;
  const { hot, after } = looks.value;
  return hot && !after ? Math.max(0, CYCLE.againAfterS - (live.clockS() - hot.atS)) : 0;
});
const stands = computed(() => {
  void live.beat;
  return (sensorId.value ? live.channels.get(sensorId.value)?.still.still : false) ?? false;
});
const show = (c: number | null): string =>
  c === null ? '—' : formatQuantity(Number(c.toFixed(1)), 'celsius', preferences.temperatureUnit);

function take(): void {
  const step = next.value;
  if (!step || now.value.sensor === null) return;
  looks.value[step.id] = { sensorC: now.value.sensor, besideC: now.value.beside, atS: live.clockS() };
  live.mark('note', '', say.heatCycleBeside(step.name, show(now.value.sensor), show(now.value.beside)));
}
function tell(): void {
  const v = verdict.value.verdict;
  emit(
    'done',
    cycleText(verdict.value, preferences.temperatureUnit),
    v === 'sound' ? 'falls-when-heated' : v === 'fails-hot' ? 'jumps-when-heated' : null,
  );
}
const told = computed(() => verdict.value.verdict !== 'unfinished');
</script>

<template>
  <div class="cycle">
    <p v-if="temperatures.length === 0" class="soft">
      {{ say.needsChannel }}
    </p>
    <template v-else>
      <ChoiceRow
        v-if="temperatures.length > 1"
        :model-value="sensorId"
        :label="say.suspectChannel"
        :options="
          temperatures
            .filter((c) => c.instrument !== 'thermometer')
            .map((c) => ({ value: c.channel.id, label: c.channel.name }))
        "
        @update:model-value="sensor = $event"
      />
      <ol>
        <li v-for="s in STEPS" :key="s.id" :class="{ now: next?.id === s.id, done: looks[s.id] }">
          <b>{{ s.name }}</b>
          <span v-if="looks[s.id]" class="mono">
            {{ say.beside(show(looks[s.id]!.sensorC), show(looks[s.id]!.besideC)) }}
          </span>
          <span v-else>{{ s.what }}</span>
        </li>
      </ol>
      <p class="mono now-line">
        {{ say.nowBeside(show(now.sensor), show(now.beside), stands ? say.stands : say.stillMoving) }}
        <template v-if="waitS > 0"> {{ say.waitMore(clockText(waitS)) }}</template>
      </p>
      <ActButton v-if="next" kind="main" :disabled="now.sensor === null" @click="take">{{
        say.readIt(next.name.toLowerCase())
      }}</ActButton>
      <p class="verdict" role="status" data-test="cycle">{{ cycleText(verdict, preferences.temperatureUnit) }}</p>
      <ActButton v-if="told" @click="tell">{{ say.putOnCheck }}</ActButton>
    </template>
  </div>
</template>

<style scoped>
.cycle {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
ol {
  margin: 0;
  padding-left: 20px;
}
li {
  padding: 3px 0;
  color: var(--soft);
}
li.now,
li.done {
  color: var(--ink);
}
li b {
  margin-right: 8px;
}
.now-line {
  margin: 0;
  font-size: 0.8438rem;
}
.verdict {
  margin: 0;
  padding: 7px 10px;
  border-left: 4px solid var(--spruce);
  background: var(--spruce-soft);
  border-radius: 0 8px 8px 0;
}
</style>
