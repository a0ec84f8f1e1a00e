<script setup lang="ts">
import { formatInterval, formatOhm } from '@mellow-probe/core/units/format';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { readingNameById } from '@mellow-probe/core/wording/conditionsText';
import { verdictText } from '@mellow-probe/core/wording/verdictText';
import { computed, ref } from 'vue';
import ProbabilityBar from '../../components/ProbabilityBar.vue';
import { useOpenJob } from '../../stores/openJob.ts';
import { useVerdict } from '../../stores/verdict.ts';
import EvidenceTable from './EvidenceTable.vue';
import NextTest from './NextTest.vue';
import WhyDrawer from './WhyDrawer.vue';

/** The verdict so far: a sentence with a size, the groups, why, and what to measure next. On a tablet a sheet that pulls up. */
defineEmits<{ next: [] }>();
const bench = useOpenJob();
const verdict = useVerdict();
const why = ref(false);
const pulledUp = ref(false);
const assessment = computed(() => verdict.result?.assessment ?? null);
const words = computed(() =>
  assessment.value ? verdictText(assessment.value, (id) => readingNameById(bench.job, id)) : null,
);
const SIGNS = { 'nothing-yet': '○', open: '◐', likely: '◐', firm: '●', doubt: '◆' } as const;
const STATES = {
  'nothing-yet': 'before any reading',
  open: 'open',
  likely: 'likely',
  firm: 'firm',
  doubt: 'in doubt',
} as const;
const leader = computed(() => {
  const first = assessment.value?.suspects[0];
  return first && words.value && ['firm', 'likely'].includes(words.value.state) ? first : null;
});
const learned = computed(() => assessment.value?.learnedPullUp ?? null);
const decision = computed(() => bench.job?.decision ?? null);
</script>

<template>
  <aside class="verdict" :class="{ up: pulledUp }" aria-label="Verdict" aria-live="polite">
    <button class="act pull" type="button" :aria-expanded="pulledUp" @click="pulledUp = !pulledUp">
      <span class="short">{{ words ? `${SIGNS[words.state]} ${words.title}` : 'Verdict' }}</span>
      <span>{{ pulledUp ? 'down ▾' : 'why ▴' }}</span>
    </button>
    <div v-if="words && assessment" data-test="verdict">
      <div class="small-head top">
        <span
          >Verdict so far ·
          <span :class="['state', words.state]">{{ SIGNS[words.state] }} {{ STATES[words.state] }}</span></span
        >
        <button class="why" type="button" @click="why = true">Why, in figures</button>
      </div>
      <h2>{{ words.title }}</h2>
      <p class="detail">{{ words.detail }}</p>
      <p v-if="leader" class="repair">{{ leader.repair }}</p>
      <p v-if="decision" class="repair">
        <b>Decided: {{ groupName(decision.group) }}.</b> {{ decision.reason }}
      </p>
    </div>
    <div v-else-if="verdict.fault" role="alert">
      <h2>The computation failed</h2>
      <p class="detail">{{ verdict.fault }} What you typed is kept.</p>
    </div>
    <div v-else-if="verdict.answer">
      <div class="small-head">Verdict so far</div>
      <h2>The circuit is not complete</h2>
      <p class="detail">Fill in the fields marked ✕ in the quick check or under More…; the readings are kept.</p>
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
    <p v-if="learned" class="learned">
      Pull-up learned: about {{ formatOhm(learned.middle) }} ({{ formatInterval(learned, 'ohms', 'C') }})
    </p>
    <EvidenceTable v-if="assessment && assessment.readings.length > 0" :assessment="assessment" />
    <NextTest
      v-if="verdict.advice && verdict.advice.proposals.length > 0"
      :advice="verdict.advice"
      @go="($emit('next'), (pulledUp = false))"
    />
    <WhyDrawer v-model:open="why" />
  </aside>
</template>

<style scoped>
.verdict {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 10px 14px;
  background: var(--sheet);
  border-left: 1px solid var(--line);
  overflow-y: auto;
  min-height: 0;
}
.pull {
  display: none;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
.why {
  border: 0;
  background: transparent;
  color: var(--spruce);
  text-decoration: underline;
  cursor: pointer;
  min-height: 28px;
  padding: 0 4px;
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
@media (max-width: 1080px) {
  .verdict {
    position: fixed;
    left: 0;
    right: 0;
    bottom: 0;
    z-index: 5;
    max-height: 84px;
    overflow: hidden;
    border: 0;
    border-top: 2px solid var(--line-strong);
    padding: 8px 14px;
  }
  .verdict.up {
    max-height: 86vh;
    overflow-y: auto;
  }
  .pull {
    display: flex;
    justify-content: space-between;
    flex: none;
    min-height: 60px;
    font-size: 17px;
    font-weight: 600;
    white-space: normal;
    text-align: left;
  }
}
</style>
