<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { debriefViewWords as say } from '@mellow-probe/core/wording/screens/train';
import { policyName } from '@mellow-probe/core/training/cases/policies';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { cameOfText, moveText, SLIP_TEXT, truthText } from '@mellow-probe/core/wording/trainingText';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { computed } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import type { Column } from '../../components/base/factTable.ts';
import FactTable from '../../components/base/FactTable.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import CircuitDrawing from '../../components/drawing/CircuitDrawing.vue';
import { drawingOf } from '../../components/drawing/drawingOf.ts';
import TopBar from '../../components/TopBar.vue';
import { useNarrow } from '../../browser/useMedia.ts';
import { usePractice } from '../../session/practice.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useTraining } from '../../data/stores/training.ts';
import DebriefSteps from './DebriefSteps.vue';
import RefusedBar from './RefusedBar.vue';
import { useBegin } from './useBegin.ts';

/** What really was, what it cost against the ideal, and the case replayed test by test. */
const { told, session, standing, record, failed } = usePractice();
const preferences = usePreferences();
const training = useTraining();
const { begin, refused } = useBegin();
const narrow = useNarrow();
const score = computed(() => told.value!.score);
const drawing = computed(() => ({
  ...drawingOf(session.job, session.verdict, preferences.temperatureUnit),
  suspect: told.value?.suspect ? { part: told.value.suspect.part, text: told.value.suspect.name } : null,
}));
const money = (value: number): string => String(Math.round(value));
const signed = (value: number): string => `${value >= 0 ? '+' : '−'}${Math.abs(Math.round(value))}`;
const ending = computed(() => {
  const { ended } = standing.value.state;
  const { right, unneeded } = score.value;
  if (ended === 'cannot-tell') return right ? say.rightUndecidable : say.wasDecidable;
  if (ended === 'gave-up') return say.givenUp;
  return unneeded.length === 0 ? say.rightAtOnce : say.rightInTheEnd(unneeded.length);
});
const COLUMNS: readonly Column<{ name: string; you: string; ideal: string; above: string }>[] = [
  { key: 'name', title: say.what, text: (r) => r.name },
  { key: 'you', title: say.you, mono: true, text: (r) => r.you },
  { key: 'ideal', title: say.theIdeal, mono: true, text: (r) => r.ideal },
  { key: 'above', title: say.aboveIt, mono: true, text: (r) => r.above },
];
const rows = computed(() => {
  const { minutes, money: paid, total, tests, ideal, regret } = score.value;
  return [
    { name: say.minutes, you: money(minutes), ideal: money(ideal.minutes), above: signed(regret.minutes) },
    { name: say.partsAndVisits, you: money(paid), ideal: money(ideal.money), above: signed(regret.money) },
    { name: say.inAll, you: money(total), ideal: money(ideal.total), above: signed(regret.total) },
    { name: say.tests, you: String(tests), ideal: String(ideal.tests), above: signed(tests - ideal.tests) },
  ];
});
const remarks = computed(() => {
  const s = score.value;
  const list: string[] = [];
  if (s.knownAt !== null) list.push(say.knownAfterStep(s.knownAt + 1));
  if (s.tests > 0) list.push(say.bitsPerMinute(fixed(s.wonPerMinute, 2)));
  if (s.unneeded.length > 0)
    list.push(say.replacedInVain(s.unneeded.map((g) => groupName(g).toLowerCase()).join(', ')));
  if (s.careless > 0) list.push(say.cautionsPassedOver(s.careless));
  if (s.mistakes > 0) list.push(say.wrongSetUps(s.mistakes));
  if (s.logScore !== null) list.push(say.estimatesScore(fixed(s.logScore, 2), fixed(1.79, 2)));
  if (s.over.minutes || s.over.money) list.push(say.overBudget);
  for (const slip of told.value!.result.did) list.push(`${SLIP_TEXT[slip]}.`);
  return list;
});
const school = computed(() => {
  const { rule, score: s } = told.value!;
  if (!s.school) return '';
  const name = policyName(s.school);
  return rule ? say.ruleOfThumb(name, rule.name, rule.right, rule.of) : say.youWorked(name);
});
async function nextCase(): Promise<void> {
  await training.load();
  await begin(training.next, record.value.mode);
}
</script>

<template>
  <div class="debrief">
    <TopBar back folds :actions="[{ name: say.training, to: '/train' }]">
      <h1 class="number">{{ say.title(record.value.number) }}</h1>
    </TopBar>
    <main>
      <RefusedBar :shown="refused" />
      <NoticeBar v-if="failed" kind="bad">{{ say.stopped(failed) }}</NoticeBar>
      <p v-if="!told" class="soft" role="status">{{ say.computing }}</p>
      <template v-else>
        <section class="sheet part truth" :aria-label="say.theTruth" data-test="truth">
          <div>
            <h2>{{ truthText(told.truth) }}</h2>
            <p>{{ ending }} {{ told.tellable ? '' : say.noSafeVerdict }}</p>
            <p v-if="school">{{ school }}</p>
            <ul class="remarks" data-test="remarks">
              <li v-for="r in remarks" :key="r">{{ r }}</li>
            </ul>
            <div class="acts">
              <ActButton kind="main" @click="nextCase">{{ say.nextCase }}</ActButton>
              <ActButton @click="begin(record.value.number, record.value.mode)">{{ say.theSameAgain }}</ActButton>
              <ActButton to="/train/progress">{{ say.progress }}</ActButton>
            </div>
          </div>
          <FactTable
            :label="say.againstTheIdeal"
            :columns="COLUMNS"
            :rows="rows"
            :row-key="(r) => r.name"
            data-test="score"
          />
        </section>
        <section class="sheet part" :aria-label="say.whereItWas">
          <div class="where"><CircuitDrawing :drawing="drawing" :upright="narrow" /></div>
        </section>
        <section class="sheet part" :aria-label="say.stepByStep">
          <h2>{{ say.stepByStep }}</h2>
          <DebriefSteps :told="told" />
        </section>
        <section class="sheet part" :aria-label="say.theIdealOrder">
          <h2>{{ say.bestOrderTitle }}</h2>
          <ol class="ideal">
            <li v-for="(e, i) in told.ideal" :key="i">
              {{ moveText(e) }}
              <b v-if="e.shown" class="mono">{{ unbroken(e.shown.text || '– – –') }}</b>
              <span class="soft spent">{{ unbroken(say.min(Math.round(e.minutes), cameOfText(e))) }}</span>
            </li>
          </ol>
          <p class="soft">
            {{ say.bestOrderHelp(formatProbability(0.95)) }}
          </p>
        </section>
      </template>
    </main>
  </div>
</template>

<style scoped>
.debrief {
  min-height: 100%;
}
.number {
  font-size: 1.0625rem;
  flex: 1;
}
main {
  display: flex;
  flex-direction: column;
  gap: 10px;
  padding: 12px;
  max-width: 1180px;
  margin: 0 auto;
}
.part {
  padding: 14px 18px;
}
.truth {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 420px);
  gap: 24px;
}
h2 {
  font-size: 1.1875rem;
  margin: 0 0 6px;
}
p {
  margin: 3px 0;
}
.remarks {
  margin: 8px 0;
  padding-left: 20px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.spent {
  margin-left: 8px;
}
.where {
  max-width: 800px;
}
.ideal li {
  padding: 2px 0;
}
@media (max-width: 56.25em) {
  .truth {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }
}
</style>
