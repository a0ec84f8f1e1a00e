<script setup lang="ts">
import { guideWords, resultStepWords as say } from '@mellow-probe/core/wording/screens/guide';
import { namesHighVoltage } from '@mellow-probe/core/catalogue/parts/troubleCodes';
import { HIGH_VOLTAGE } from '@mellow-probe/core/wording/codeText';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { hasPrices } from '@mellow-probe/core/advice/plan/worthSchema';
import { asksWhere } from '@mellow-probe/core/advice/place/placeAdvice';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { costText, remainingText } from '@mellow-probe/core/wording/planText';
import { suspectsThermometer } from '@mellow-probe/core/wording/verdictText';
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { computed } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import { useSession } from '../../session/jobSession.ts';
import { useVerdictWords } from '../../session/verdictWords.ts';
import type { FinishingStep } from './guideSteps.ts';

/** What is wrong, how sure that is, what to do, and what it costs to be wrong; and the ways on from here. */
const emit = defineEmits<{ step: [step: FinishingStep]; test: []; temperature: [] }>();
const { job, verdict } = useSession();
const words = useVerdictWords();
const leading = computed(() => verdict.advice?.leading ?? null);
const decided = computed(() => words.value !== null && ['firm', 'likely'].includes(words.value.state));
const leader = computed(() => (decided.value ? (verdict.result?.assessment.suspects[0] ?? null) : null));
const wrong = computed(() => {
  if (!leading.value || !decided.value || leading.value.group === 'healthy') return '';
  const inHundred = Math.max(1, Math.round(100 * (1 - leading.value.probability)));
  const cost = costText({ ...leading.value, total: 0 }, hasPrices(job.worth));
  return unbroken(`${say.wrongOf(inHundred)} ${say.wrongCosts(cost)}`);
});
const remaining = computed(() => remainingText(verdict.advice?.remaining ?? [], hasPrices(job.worth)));
const thermometer = computed(() => {
  const assessment = verdict.result?.assessment;
  return assessment !== undefined && suspectsThermometer(assessment);
});
const highVoltage = computed(() => namesHighVoltage(job.complaint.codes));
const more = computed(() => (verdict.advice?.proposals.length ?? 0) > 0);
const locates = computed(() => verdict.advice !== null && asksWhere(verdict.advice.where));
/** What follows, the most useful first. */
const finishing = computed<FinishingStep[]>(() => [
  ...(locates.value ? (['where'] as const) : []),
  ...(['decision', 'repair', 'proof'] as const),
]);
</script>

<template>
  <section v-if="words" class="result" data-test="result" aria-live="polite">
    <h3>{{ words.title }}</h3>
    <p v-if="words.detail">{{ unbroken(words.detail) }}</p>
    <dl>
      <dt>{{ say.howSure }}</dt>
      <dd>
        {{ say.states[words.state]
        }}<template v-if="decided && leading"> · {{ formatProbability(leading.probability) }}</template>
      </dd>
      <template v-if="leader">
        <dt>{{ say.whatToDo }}</dt>
        <dd>{{ leader.repair }}</dd>
      </template>
      <template v-if="wrong">
        <dt>{{ say.ifWrong }}</dt>
        <dd>{{ wrong }}</dd>
      </template>
    </dl>
    <p v-if="highVoltage" class="caution" data-test="high-voltage">▲ {{ HIGH_VOLTAGE }}</p>
    <p v-else-if="remaining">{{ remaining }}</p>
    <p v-else-if="!more" class="soft">{{ say.nothingLeft }}</p>
  </section>
  <div class="ways">
    <ActButton
      v-for="(s, i) in finishing"
      :key="s"
      :kind="i === 0 && decided ? 'main' : 'plain'"
      @click="emit('step', s)"
      >{{ guideWords.questions[s] }}</ActButton
    >
    <ActButton v-if="thermometer" data-test="again" @click="emit('temperature')">{{ say.temperatureAgain }}</ActButton>
    <ActButton v-if="more" :kind="decided ? 'plain' : 'main'" data-test="more" @click="emit('test')">{{
      say.measureMore
    }}</ActButton>
    <ActButton icon="fileText" :to="`/check/${job.id}/report`">{{ say.report }}</ActButton>
  </div>
  <div v-if="job.leftOut.length > 0" class="left">
    <span class="soft">{{ say.leftOut }}</span>
    <ActButton
      v-for="id in job.leftOut"
      :key="id"
      kind="quiet"
      @click="job.leftOut = job.leftOut.filter((other) => other !== id)"
      >{{ say.putBack(measurementById(id).name) }}</ActButton
    >
  </div>
</template>

<style scoped>
.result {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.caution {
  color: var(--amber-ink);
}
h3 {
  font-size: 1.35rem;
  line-height: 1.2;
}
dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 6px 14px;
  margin: 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
}
.ways {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.ways > * {
  min-height: 52px;
}
.left {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
}
</style>
