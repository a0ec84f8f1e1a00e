<script setup lang="ts">
import { measurementById } from '@mellow-probe/core/measurements/list';
import { formatOhm } from '@mellow-probe/core/units/format';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { readingName, verdictText } from '@mellow-probe/core/wording/verdictText';
import { computed } from 'vue';
import ProbabilityBar from '../../components/ProbabilityBar.vue';
import { useOpenJob } from '../../stores/openJob.ts';
import { useVerdict } from '../../stores/verdict.ts';
import EvidenceTable from './EvidenceTable.vue';
import NextTest from './NextTest.vue';

/** The verdict so far: a sentence with a size, the groups, why, and what to measure next. */
defineEmits<{ next: [] }>();
const bench = useOpenJob();
const verdict = useVerdict();
const assessment = computed(() => verdict.result?.assessment ?? null);
const nameOf = (id: string): string => {
  const reading = bench.job?.readings.find((r) => r.id === id);
  return reading ? readingName(measurementById(reading.measurement).id) : '';
};
const words = computed(() => (assessment.value ? verdictText(assessment.value, nameOf) : null));
const SIGNS = { 'nothing-yet': '○', open: '◐', likely: '◐', firm: '●', doubt: '◆' } as const;
const STATES = { 'nothing-yet': 'before any reading', open: 'open', likely: 'likely', firm: 'firm', doubt: 'in doubt' } as const;
const leader = computed(() => {
  const first = assessment.value?.suspects[0];
  return first && words.value && ['firm', 'likely'].includes(words.value.state) ? first : null;
});
</script>

<template>
  <aside class="verdict" aria-label="Verdict" aria-live="polite">
    <div v-if="words && assessment" data-test="verdict">
      <div class="small-head">
        Verdict so far · <span :class="['state', words.state]">{{ SIGNS[words.state] }} {{ STATES[words.state] }}</span>
      </div>
      <h2>{{ words.title }}</h2>
      <p class="detail">{{ words.detail }}</p>
      <p v-if="leader" class="repair">{{ leader.repair }}</p>
    </div>
    <div v-else-if="verdict.fault" role="alert">
      <h2>The computation failed</h2>
      <p class="detail">{{ verdict.fault }} What you typed is kept.</p>
    </div>
    <div v-else-if="verdict.answer">
      <div class="small-head">Verdict so far</div>
      <h2>The circuit is not complete</h2>
      <p class="detail">Fill in the fields marked ✕ in the drawing or under More…; the readings are kept.</p>
    </div>
    <div v-else class="soft">Computing…</div>

    <div v-if="assessment" class="groups">
      <ProbabilityBar
        v-for="(g, i) in assessment.groups"
        :key="g.group"
        :label="groupName(g.group)"
        :probability="g.probability"
        :leading="i === 0 && assessment.doubt.kind !== 'no-readings'"
      />
    </div>
    <p v-if="assessment?.learnedPullUp" class="learned">
      Pull-up learned: about {{ formatOhm(assessment.learnedPullUp.middle) }} ({{ formatOhm(assessment.learnedPullUp.low) }} …
      {{ formatOhm(assessment.learnedPullUp.high) }})
    </p>
    <EvidenceTable v-if="assessment && assessment.readings.length > 0" :assessment="assessment" />
    <NextTest v-if="verdict.result && verdict.result.proposals.length > 0" :proposals="verdict.result.proposals" @go="$emit('next')" />
  </aside>
</template>

<style scoped>
.verdict {
  display: flex;
  flex-direction: column;
  gap: 12px;
  padding: 12px 16px;
  background: var(--sheet);
  border-left: 1px solid var(--line);
  overflow-y: auto;
  min-height: 0;
}
h2 {
  font-size: 21px;
  line-height: 1.2;
  margin-top: 2px;
}
.detail {
  margin-top: 4px;
  font-size: 14.5px;
}
.repair,
.learned {
  margin-top: 4px;
  font-size: 13px;
  color: var(--soft);
}
.state.firm {
  color: var(--moss-ink);
}
.state.doubt {
  color: var(--clay);
}
.groups {
  display: flex;
  flex-direction: column;
  gap: 3px;
}
</style>
