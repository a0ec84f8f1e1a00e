<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { findingListWords as say } from '@mellow-probe/core/wording/screens/logs';
import type { Finding } from '@mellow-probe/core/intake/logs/finding';
import type { LogEvidence } from '@mellow-probe/core/check/job/logEvidence';
import type { Log } from '@mellow-probe/core/intake/logs/log';
import { strengthOf } from '@mellow-probe/core/intake/logs/strength';
import { findingText, STRENGTH_NAMES } from '@mellow-probe/core/wording/findingText';
import { evidenceText } from '@mellow-probe/core/wording/logText';
import { computed } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import type { LogShape } from '../../workers/logs.ts';

/** What was found, each with what it means, where it is on the chart, and what it puts on the check. */
const props = defineProps<{
  findings: readonly Finding[];
  evidence: readonly (readonly LogEvidence[])[];
  shape: LogShape;
  /** Is there a check to put it on? */
  toCheck: boolean;
  /** Findings that were put already, by their place. */
  put: ReadonlySet<number>;
}>();
const emit = defineEmits<{ show: [fromS: number, toS: number]; use: [index: number] }>();
const preferences = usePreferences();
/** The words need the names of the channels, not their values. */
const named = computed((): Log => ({
  // Its usual step is all that the words need of the clock.
  timeS: Float64Array.of(0, props.shape.lengthS / Math.max(1, props.shape.rows - 1)),
  channels: props.shape.channels.map((c) => ({ ...c, values: new Float64Array(0) })),
  marks: props.shape.marks,
}));
const rows = computed(() =>
  props.findings
    .map((f, index) => ({
      index,
      ...findingText(f, named.value, preferences.temperatureUnit),
      strength: strengthOf(f),
      span: spanOf(f),
      sensors: f.kind === 'cold-start' ? sensorsOf(f.channels) : null,
      evidence: (props.evidence[index] ?? []).map((e) => evidenceText(e, preferences.temperatureUnit)),
    }))
    .sort((a, b) => WEIGHT[a.tone] - WEIGHT[b.tone] || a.index - b.index),
);
const WEIGHT = { odd: 0, told: 1, good: 2 } as const;
const TONES = { odd: say.lookAtThis, told: say.told, good: say.good } as const;

/** Names and values of a cold start, as the tool for all sensors takes them. */
const sensorsOf = (channels: readonly { channel: string; valueC: number }[]): string =>
  channels
    .map(({ channel, valueC }) => {
      const name = props.shape.channels.find((c) => c.id === channel)?.name ?? channel;
      return `${name}: ${valueC.toFixed(1)} °C`;
    })
    .join('\n');

/** Where on the chart it is: the whole log where it is of no one place. */
function spanOf(f: Finding): [number, number] {
  switch (f.kind) {
    case 'events':
      return [f.events[0].fromS, f.events[0].toS];
    case 'moved':
      return [f.mark.fromS - 4, (f.mark.toS ?? f.mark.fromS) + 4];
    case 'stretch':
      return [f.stretches[0].fromS, f.stretches[0].toS];
    case 'warm-up':
    case 'settling':
      return [f.fromS, f.toS];
    case 'air':
      return [f.dips[0].fromS, f.dips[0].toS];
    case 'cold-start':
      return [0, Math.min(15, props.shape.lengthS)];
    default:
      return [0, props.shape.lengthS];
  }
}
function show([from, to]: [number, number]): void {
  const around = Math.max(3, 0.4 * (to - from));
  emit('show', from - around, to + around);
}
</script>

<template>
  <ul class="findings" data-test="findings">
    <li v-for="r in rows" :key="r.index" :class="r.tone">
      <div class="words">
        <h3>
          {{ unbroken(r.title) }}
          <span class="tone"
            >{{ TONES[r.tone]
            }}<template v-if="r.strength && r.tone === 'odd'"> · {{ STRENGTH_NAMES[r.strength] }}</template></span
          >
        </h3>
        <p>{{ unbroken(r.meaning) }}</p>
        <p v-if="r.evidence.length > 0" class="soft puts">
          {{ unbroken(say.onCheck(r.evidence.join(' · '))) }}
        </p>
      </div>
      <div class="acts">
        <ActButton v-if="r.sensors" kind="quiet" :to="{ path: '/shelf/machine', query: { values: r.sensors } }">{{
          say.compareAllSensors
        }}</ActButton>
        <ActButton kind="quiet" @click="show(r.span)">{{ say.show }}</ActButton>
        <template v-if="r.evidence.length > 0 && toCheck">
          <span v-if="put.has(r.index)" class="put" role="status">{{ say.onTheCheck }}</span>
          <ActButton v-else @click="emit('use', r.index)">{{ say.putOnCheck }}</ActButton>
        </template>
      </div>
    </li>
  </ul>
</template>

<style scoped>
.findings {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 12px;
  padding: 9px 0 9px 12px;
  border-left: 4px solid var(--line);
  border-bottom: 1px solid var(--line);
}
.odd {
  border-left-color: var(--amber);
}
.good {
  border-left-color: var(--moss);
}
h3 {
  margin: 0;
  font-size: 0.9375rem;
  line-height: 1.3;
}
.tone {
  margin-left: 6px;
  font-size: 0.75rem;
  font-weight: 400;
  color: var(--soft);
  white-space: nowrap;
}
.odd .tone {
  color: var(--amber-ink);
}
p {
  margin: 2px 0 0;
  font-size: 0.875rem;
}
.puts {
  font-size: 0.8125rem;
}
.acts {
  display: flex;
  align-items: center;
  gap: 4px;
}
.put {
  font-size: 0.8125rem;
  color: var(--moss-ink);
}
@media (max-width: 38.75em) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
