<script setup lang="ts">
import { debriefStepsWords as say } from '@mellow-probe/core/wording/screens/train';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import type { DebriefStep } from '@mellow-probe/core/training/cases/score';
import { formatMinutes } from '@mellow-probe/core/base/units/format';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { outcomeLines } from '@mellow-probe/core/wording/outcomeLines';
import {
  cameOfText,
  CARELESS_TEXT,
  EXPECTED_TEXT,
  MISTAKE_TEXT,
  moveText,
} from '@mellow-probe/core/wording/trainingText';
import ProbabilityBar from '../../components/ProbabilityBar.vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import type { Told } from '../../workers/training.ts';

/** A case replayed move by move: what each showed and won, and what the ideal would have done. */
const props = defineProps<{ told: Told }>();
const preferences = usePreferences();
const top = (list: DebriefStep['before']) => list.filter((g, i) => i < 3 && g.probability > 0.01);
const isGuilty = (group: string): boolean => props.told.guilty.some((g) => g === group);
const outcomes = (step: DebriefStep): string =>
  step.test
    ? outcomeLines(step.test, preferences.temperatureUnit)
        .map((o) => `${o.range} (${o.chance}): ${o.leaves}`)
        .join('; ')
    : '';
const judgement = (step: DebriefStep): string => {
  const { test, best, lost, won } = step;
  if (won === null) return '';
  const parts: string[] = [];
  if (test) parts.push(say.worthBitsIn(fixed(test.bits, 2), formatMinutes(test.minutes)));
  else parts.push(say.takenBefore);
  if (!best) parts.push(say.enoughKnown);
  else if (lost < 0.02) parts.push(say.asGoodAsBest);
  else
    parts.push(say.bestTest(measurementById(best.measurement).name, fixed(best.bits, 2), formatMinutes(best.minutes)));
  parts.push(
    won > 0.02 ? say.itWonBits(fixed(won, 2)) : won < -0.02 ? say.misled(fixed(-won, 2)) : say.itChangedNothing,
  );
  return parts.join(' ');
};
</script>

<template>
  <ol class="steps">
    <li v-for="(s, i) in told.steps" :key="i" :class="{ known: told.score.knownAt === i }" data-test="step">
      <div class="what">
        <b>{{ moveText(s.event) }}</b>
        <span v-if="s.event.shown" class="mono shown">{{ unbroken(s.event.shown.text || '– – –') }}</span>
        <span v-if="s.event.minutes > 0" class="soft spent">{{ unbroken(say.min(Math.round(s.event.minutes))) }}</span>
        <p v-if="cameOfText(s.event)">{{ cameOfText(s.event) }}</p>
        <p v-for="m in s.event.shown?.mistakes ?? []" :key="m" class="odd">{{ MISTAKE_TEXT[m] }}</p>
        <p v-if="s.event.careless" class="odd">{{ CARELESS_TEXT[s.event.careless] }}</p>
        <p v-if="s.event.move.kind === 'measure' && s.event.move.expects" class="soft">
          {{ say.youExpected(EXPECTED_TEXT[s.event.move.expects]) }}
        </p>
        <p v-if="outcomes(s)" class="soft">{{ unbroken(say.couldShow(outcomes(s))) }}</p>
        <p>{{ unbroken(judgement(s)) }}</p>
        <p v-if="s.event.move.kind === 'act' && s.event.move.reason" class="soft">“{{ s.event.move.reason }}”</p>
        <p v-if="told.score.knownAt === i" class="moment">{{ say.knownFromHere }}</p>
      </div>
      <div v-if="s.won !== null || s.event.move.kind === 'look'" class="odds">
        <ProbabilityBar
          v-for="g in top(s.after)"
          :key="g.group"
          :label="groupName(g.group)"
          :probability="g.probability"
          :leading="isGuilty(g.group)"
        />
      </div>
    </li>
  </ol>
</template>

<style scoped>
p {
  margin: 3px 0;
}
.steps {
  margin: 0;
  padding-left: 26px;
}
.steps li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 18px;
  padding: 9px 0;
  border-top: 1px solid var(--line);
  --label: 118px;
}
.steps .what {
  display: list-item;
}
.steps .known {
  border-left: 3px solid var(--moss);
  padding-left: 10px;
  margin-left: -13px;
}
.shown {
  margin: 0 0 0 8px;
}
.spent {
  margin-left: 8px;
}
.odd {
  color: var(--amber-ink);
}
.moment {
  font-weight: 600;
}
@media (max-width: 56.25em) {
  .steps li {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }
}
</style>
