<script setup lang="ts">
import type { Proposal } from '@mellow-probe/core/diagnosis/nextTest';
import { measurementById } from '@mellow-probe/core/measurements/list';
import { formatInterval, formatOhm, formatTemperature } from '@mellow-probe/core/units/format';
import { computed } from 'vue';
import { usePreferences } from '../../stores/preferences.ts';

/** The test worth most per minute, with what each suspect predicts for it, so that the outcome speaks before the probe is down. */
const props = defineProps<{ proposals: readonly Proposal[] }>();
defineEmits<{ go: [] }>();
const preferences = usePreferences();

const tests = computed(() =>
  props.proposals.map((p) => {
    const m = measurementById(p.measurement);
    const { substituteOhm, bathC, wire, position } = p.conditions;
    const extra =
      substituteOhm !== undefined
        ? `, ${formatOhm(substituteOhm)}`
        : bathC !== undefined
          ? `, water at ${formatTemperature(bathC, preferences.temperatureUnit)}`
          : wire
            ? `, ${wire} wire, connector ${position}`
            : '';
    return {
      ...p,
      name: `${m.name}${extra}`,
      title: m.title,
      caution: m.caution,
      minutesText: `${Math.round(p.minutes)} min`,
      outcomes: p.predicts
        .filter((x) => x.probability > 0.01)
        .slice(0, 3)
        .map((x) => ({ name: x.name, range: formatInterval(x.interval, m.quantity, preferences.temperatureUnit) })),
    };
  }),
);

/** Below this many bits even the best test changes next to nothing. */
const WORTH_DOING = 0.02;
const enough = computed(() => props.proposals[0].bits < WORTH_DOING);
</script>

<template>
  <section v-if="enough" class="next" data-test="next" aria-label="Next test">
    <h3 class="enough">Enough measured</h3>
    <p>No test left would tell much more. Repair, then read again: the proof is every reading inside its healthy range.</p>
    <p class="others">If you doubt it: {{ tests.map((t) => `${t.name} (${t.minutesText})`).join(', ') }}</p>
  </section>
  <section v-else class="next" data-test="next" aria-label="Next test">
    <h3>
      <button type="button" @click="$emit('go')">
        Next: {{ tests[0].name }} <span class="minutes">{{ tests[0].minutesText }}</span> <kbd>N</kbd>
      </button>
    </h3>
    <p>{{ tests[0].title }}.</p>
    <p v-for="o in tests[0].outcomes" :key="o.name" class="outcome">
      <span>{{ o.name }}</span> <span class="mono">{{ o.range }}</span>
    </p>
    <p v-if="tests[0].caution" class="caution">{{ tests[0].caution }}</p>
    <p v-if="tests.length > 1" class="others">or {{ tests.slice(1).map((t) => `${t.name} (${t.minutesText})`).join(', ') }}</p>
  </section>
</template>

<style scoped>
.next {
  margin-top: auto;
  background: var(--spruce);
  color: var(--on-spruce);
  border-radius: 12px;
  padding: 10px 14px;
  font-size: 13.5px;
}
h3 {
  font-size: 16.5px;
  line-height: 1.25;
  margin: 0;
}
h3 button {
  display: flex;
  align-items: baseline;
  gap: 8px;
  width: 100%;
  min-height: 36px;
  padding: 0;
  border: 0;
  background: transparent;
  text-align: left;
  font-weight: 600;
  cursor: pointer;
}
kbd {
  margin-left: auto;
  background: transparent;
  color: inherit;
  border-color: currentColor;
}
.minutes {
  font-weight: 400;
  font-size: 13px;
}
p {
  margin: 2px 0;
}
.outcome {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
.outcome .mono {
  font-weight: 600;
  white-space: nowrap;
}
.caution {
  font-size: 12.5px;
  border-top: 1px dashed currentColor;
  padding-top: 4px;
  margin-top: 5px;
}
.others {
  font-size: 12.5px;
}
</style>
