<script setup lang="ts">
import { verdictPanelWords as say } from '@mellow-probe/core/wording/screens/benchVerdict';
import FoldOut from '../../components/base/FoldOut.vue';
import ActButton from '../../components/base/ActButton.vue';
import { saysTwo } from '@mellow-probe/core/advice/nextTest/twoFaults';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { proofStateOf } from '@mellow-probe/core/check/proof/proofPlan';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { progressText } from '@mellow-probe/core/wording/progressText';
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { whereAskedText } from '@mellow-probe/core/wording/placeText';
import { pullUpLearnedText } from '@mellow-probe/core/wording/noticeText';
import { computed, ref } from 'vue';
import { useUpright } from '../../browser/useMedia.ts';
import ProbabilityBar from '../../components/ProbabilityBar.vue';
import { useSession } from '../../session/jobSession.ts';
import { useVerdictWords } from '../../session/verdictWords.ts';
import JobProgress from './JobProgress.vue';
import { EvidenceTable, WhyDrawer } from './laterParts.ts';
import NextTest from './NextTest.vue';

/** The verdict so far: a sentence with a size, the groups, why, and what to measure next. On a tablet a sheet that pulls up. */
defineEmits<{ next: [] }>();
const { job, verdict, judging, work } = useSession();
const why = ref(false);
const pulledUp = ref(false);
/** On a tablet held upright and on a phone only the line at the foot is seen until it is pulled up. */
const upright = useUpright();
const assessment = computed(() => verdict.result?.assessment ?? null);
const words = useVerdictWords();
const SIGNS = { 'nothing-yet': '○', open: '◐', likely: '◐', firm: '●', doubt: '◆', fits: '○' } as const;
const STATES = {
  'nothing-yet': say.beforeAnyReading,
  open: say.open,
  likely: say.likely,
  firm: say.firm,
  fits: say.fitsSoFar,
  doubt: say.inDoubt,
} as const;
const leader = computed(() => {
  const first = assessment.value?.suspects[0];
  return first && words.value && ['firm', 'likely'].includes(words.value.state) ? first : null;
});
/** Where it lies, once that is the question. */
const where = computed(() => unbroken(whereAskedText(verdict.advice?.where ?? null, job.loom)));
const learned = computed(() => assessment.value?.learnedPullUp ?? null);
const curves = computed(() => {
  const possible = assessment.value?.possibleCurves;
  if (!possible) return '';
  if (possible.length === 0) return say.noCurveNear;
  return say.possibleCurves(possible.map((c) => `${c.name} (${formatProbability(c.share)})`).join(', '));
});
const decision = computed(() => job.decision ?? null);
/** After the repair the panel says what is proved; what was suspected before stands folded under it. */
const progress = computed(() => progressText(job, proofStateOf(job, verdict.result?.proofHealthy ?? {})));
const failure = computed(() => {
  switch (verdict.fault?.why) {
    case undefined:
      return '';
    case 'silent':
      return say.computationStopped(verdict.fault.message);
    case 'stopped':
      return say.computationFailed(verdict.fault.message);
    case 'threw':
      return say.theComputationFailed(verdict.fault.message);
  }
});
</script>

<template>
  <aside
    class="verdict"
    :class="{ up: pulledUp, earlier: verdict.earlier }"
    :aria-label="say.verdict"
    aria-live="polite"
  >
    <ActButton class="pull" :aria-expanded="pulledUp" @click="pulledUp = !pulledUp">
      <span class="short">{{
        progress
          ? progress.title
          : words
            ? verdict.earlier
              ? say.earlier(`${SIGNS[words.state]} ${words.title}`)
              : `${SIGNS[words.state]} ${words.title}`
            : say.verdict
      }}</span>
      <span class="way">{{ pulledUp ? say.down : say.why }}</span>
    </ActButton>
    <div v-if="verdict.fault" class="failed" role="alert" data-test="verdict-failed">
      <p>
        <b>{{ say.noVerdict }}</b> {{ say.failure(failure) }}
        <template v-if="verdict.shown">{{ say.earlierBelow }}</template>
      </p>
      <div>
        <ActButton icon="reload" @click="judging.again()">{{ say.computeAgain }}</ActButton>
      </div>
    </div>
    <p v-else-if="verdict.slow" class="slow" role="status" data-test="computing">
      {{ say.computing }} {{ verdict.shown ? say.earlierBelow : '' }}
    </p>
    <JobProgress v-if="progress" :progress="progress" />
    <component :is="progress ? FoldOut : 'div'" class="suspicion" v-bind="progress ? { title: say.beforeRepair } : {}">
      <div v-if="words && assessment" data-test="verdict" :data-earlier="verdict.earlier">
        <div class="small-head top">
          <span
            >{{ verdict.earlier ? say.earlierTitle : say.verdictSoFar }} ·
            <span :class="['state', words.state]">{{ SIGNS[words.state] }} {{ STATES[words.state] }}</span></span
          >
          <ActButton kind="bare" class="why" @click="why = true">{{ say.whyInFigures }}</ActButton>
        </div>
        <h2>{{ words.title }}</h2>
        <p class="detail">{{ unbroken(words.detail) }}</p>
        <p v-if="leader" class="repair">{{ leader.repair }}</p>
        <p v-if="where" class="repair" data-test="where-line">
          <b>{{ say.where }}</b> {{ where }}
          <ActButton kind="bare" class="why" @click="work.goStation('where')">{{ say.theLoom }}</ActButton>
        </p>
        <p v-if="decision" class="repair">
          <b>{{ say.decided(groupName(decision.group)) }}</b> {{ decision.reason }}
        </p>
      </div>
      <div v-else-if="verdict.shown" data-test="incomplete" :data-earlier="verdict.earlier">
        <div class="small-head">{{ say.verdictSoFar }}</div>
        <h2>{{ say.incompleteTitle }}</h2>
        <p class="detail">{{ say.incompleteHelp }}</p>
      </div>
      <div v-else-if="!verdict.fault && !verdict.slow" class="soft">{{ say.computing }}</div>

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
        {{ pullUpLearnedText(learned) }}
      </p>
      <p v-if="curves" class="learned" data-test="curves">{{ curves }}</p>
      <EvidenceTable
        v-if="assessment && assessment.readings.length > 0 && (pulledUp || !upright)"
        :assessment="assessment"
        :of="verdict.shown!.of.job"
      />
    </component>
    <NextTest
      v-if="!progress && verdict.advice && !verdict.fault && !saysTwo(verdict.two)"
      :advice="verdict.advice"
      :earlier="verdict.adviceEarlier"
      @go="($emit('next'), (pulledUp = false))"
    />
    <WhyDrawer v-model:open="why" />
  </aside>
</template>

<style scoped>
.failed p {
  margin: 0;
}
.failed {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 8px 12px;
  border-left: 4px solid var(--clay);
  background: var(--clay-soft);
  border-radius: 0 8px 8px 0;
}
.slow {
  margin: 0;
  color: var(--amber-ink);
  font-weight: 600;
}
/* Of earlier figures: pale after a moment, so that a quick answer does not flicker. */
.earlier [data-test='verdict'],
.earlier .groups,
.earlier table {
  opacity: 0.55;
  transition: opacity 0.1s 0.3s;
}
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
.suspicion {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.pull {
  display: none;
}
.way {
  white-space: nowrap;
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
  font-size: 1.3125rem;
  line-height: 1.2;
  margin-top: 2px;
}
.detail {
  margin-top: 4px;
  font-size: 0.9062rem;
}
.repair,
.learned {
  margin-top: 4px;
  font-size: 0.8125rem;
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
@media (max-width: 67.5em) {
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
    font-size: 1.0625rem;
    font-weight: 600;
    white-space: normal;
    text-align: left;
  }
}
</style>
