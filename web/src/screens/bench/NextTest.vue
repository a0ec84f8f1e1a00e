<script setup lang="ts">
import { nextTestWords as say } from '@mellow-probe/core/wording/screens/benchVerdict';
import ActButton from '../../components/base/ActButton.vue';
import { namesHighVoltage } from '@mellow-probe/core/catalogue/parts/troubleCodes';
import { HIGH_VOLTAGE } from '@mellow-probe/core/wording/codeText';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { formatMinutes } from '@mellow-probe/core/base/units/format';
import { conditionsText } from '@mellow-probe/core/wording/conditionsText';
import { outcomeLines } from '@mellow-probe/core/wording/outcomeLines';
import { lookText, placeOutcomeLines } from '@mellow-probe/core/wording/placeText';
import type { OutcomeLine } from '@mellow-probe/core/wording/outcomeLines';
import type { Proposal } from '@mellow-probe/core/advice/nextTest/nextTest';
import { nextPlace, type PlaceTest } from '@mellow-probe/core/advice/place/placeAdvice';
import { hasPrices } from '@mellow-probe/core/advice/plan/worthSchema';
import { stateCaution, stateName } from '@mellow-probe/core/wording/stateText';
import { planSentence, remainingText } from '@mellow-probe/core/wording/planText';
import { SCHOOLS } from '@mellow-probe/core/advice/nextTest/schools';
import { computed } from 'vue';
import OutcomeScale from './OutcomeScale.vue';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import type { Advice } from '../../workers/engineAnswer.ts';

/** The test worth most per minute, with what each suspect predicts for it, so that the outcome speaks before the probe is down. */
const props = defineProps<{
  advice: Advice;
  /** Of earlier figures: the new advice is being worked out. */ earlier?: boolean;
}>();
defineEmits<{ go: [] }>();
const preferences = usePreferences();
const { job, work } = useSession();

const nameOf = (measurement: string, conditions: Parameters<typeof conditionsText>[0]): string => {
  const words = conditionsText(conditions, preferences.temperatureUnit, job.loom);
  return `${measurementById(measurement).name}${words ? `, ${words}` : ''}`;
};
/** Once it is plain what is wrong, the question is where; readings that tell what stand behind it. */
const where = computed(() => nextPlace(props.advice.where, job.loom));
const tests = computed(() => {
  const { temperatureUnit } = preferences;
  const shown = (p: PlaceTest | Proposal, outcomes: OutcomeLine[]) => {
    const m = measurementById(p.measurement);
    return {
      measurement: p.measurement,
      conditions: p.conditions,
      state: 'state' in p ? p.state : ('steady' as const),
      name: [nameOf(p.measurement, p.conditions), 'state' in p ? stateName(p.state) : ''].filter(Boolean).join(', '),
      title: m.title,
      quantity: m.quantity,
      caution: [m.caution, 'state' in p ? stateCaution(p.state) : null].filter(Boolean).join(' '),
      minutesText: formatMinutes(p.minutes),
      outcomes,
    };
  };
  const what = props.advice.proposals.map((p) => shown(p, outcomeLines(p, temperatureUnit)));
  const next = where.value;
  return next ? [shown(next, placeOutcomeLines(next, job.loom, temperatureUnit)), ...what.slice(0, 2)] : what;
});
const first = computed(() => {
  const { first: look } = props.advice.where;
  return where.value && look ? lookText(look, job.loom) : '';
});
const school = computed(() => SCHOOLS.find((s) => s.id === job.school));
const schoolNext = computed(() =>
  school.value && work.proposed ? nameOf(work.proposed.measurement, work.proposed.conditions) : '',
);
/** Worked by least expected cost: what that is, and whether to act now would be cheaper. */
const cost = computed(() =>
  props.advice.plan ? planSentence(props.advice.plan, preferences.temperatureUnit, hasPrices(job.worth), job.loom) : '',
);
const pair = computed(() => {
  const first = props.advice.undecided[0];
  if (!first) return '';
  const how = first.test ? say.wouldTell(nameOf(first.test.measurement, first.test.conditions)) : say.noneSeparates;
  return say.notSeparated(first.names.join(' and '), how);
});

const highVoltage = computed(() => namesHighVoltage(job.complaint.codes));
/** What changes next to nothing is not proposed. */
const enough = computed(() => !where.value && props.advice.proposals.length === 0);
/** What is left open where nothing at hand tells more. */
const remaining = computed(() => remainingText(props.advice.remaining, hasPrices(job.worth)));
</script>

<template>
  <section v-if="enough && !schoolNext" :class="['next', { earlier }]" data-test="next" :aria-label="say.nextTest">
    <p v-if="highVoltage" class="caution" data-test="high-voltage">▲ {{ HIGH_VOLTAGE }}</p>
    <h3 v-else class="enough">{{ remaining ? say.nothingSeparatesThem : say.enoughMeasured }}</h3>
    <p v-if="!highVoltage">
      {{ remaining || say.nothingLeft }}
    </p>
  </section>
  <section v-else :class="['next', { earlier }]" data-test="next" :aria-label="say.nextTest">
    <p v-if="highVoltage" class="caution" data-test="high-voltage">▲ {{ HIGH_VOLTAGE }}</p>
    <h3>
      <ActButton kind="bare" @click="$emit('go')">
        <span>{{ say.next(schoolNext || tests[0].name) }}</span>
        <span v-if="!schoolNext" class="minutes">{{ tests[0].minutesText }}</span> <kbd>N</kbd>
      </ActButton>
    </h3>
    <p v-if="schoolNext">
      {{ say.bySchool(school!.name, tests[0].name, tests[0].minutesText) }}
    </p>
    <p v-else>{{ tests[0].title }}.</p>
    <OutcomeScale
      v-if="tests[0].outcomes.length > 1"
      :intervals="tests[0].outcomes.map((o) => o.interval)"
      :quantity="tests[0].quantity"
    />
    <dl class="outcomes">
      <template v-for="(o, i) in tests[0].outcomes" :key="o.range">
        <dt class="mono">
          <span v-if="tests[0].outcomes.length > 1" class="number" aria-hidden="true">{{ i + 1 }}</span> {{ o.range }}
        </dt>
        <dd>{{ o.leaves }}</dd>
      </template>
    </dl>
    <p v-if="first" class="others">{{ say.firstUnderWhere(first) }}</p>
    <p v-if="cost" class="others" data-test="least-cost">{{ cost }}</p>
    <p v-if="pair" class="others">{{ pair }}</p>
    <p v-if="tests[0].caution && !schoolNext" class="caution">▲ {{ tests[0].caution }}</p>
    <p v-if="tests.length > 1" class="others">
      {{ say.or }}
      <template v-for="(t, i) in tests.slice(1)" :key="t.name">
        <template v-if="i > 0">, </template>
        <ActButton kind="bare" class="link" @click="work.goTest(t.measurement, t.conditions, t.state)">
          {{ t.name }} ({{ t.minutesText }})
        </ActButton>
      </template>
    </p>
  </section>
</template>

<style scoped>
.earlier {
  opacity: 0.7;
  transition: opacity 0.1s 0.3s;
}
.next {
  margin-top: auto;
  background: var(--spruce);
  color: var(--on-spruce);
  border-radius: 12px;
  padding: 8px 14px;
  font-size: 0.8438rem;
}
h3 {
  font-size: 1.0312rem;
  line-height: 1.25;
  margin: 0;
}
h3 button {
  display: flex;
  align-items: baseline;
  gap: 8px;
  width: 100%;
  min-height: 44px;
  align-items: center;
  padding: 0;
  border: 0;
  background: transparent;
  color: inherit;
  font: inherit;
  text-align: left;
  font-weight: 600;
  cursor: pointer;
}
.link.link {
  border: 0;
  color: inherit;
  font: inherit;
  padding: 2px 0;
  background: transparent;
  text-decoration: underline;
  cursor: pointer;
}
.next :focus-visible {
  outline-color: var(--on-spruce);
}
kbd {
  margin-left: auto;
  background: transparent;
  color: inherit;
  border-color: currentColor;
}
.minutes {
  font-weight: 400;
  font-size: 0.8125rem;
  white-space: nowrap;
}
p {
  margin: 2px 0;
}
.outcomes {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  margin: 2px 0;
}
.outcomes dt {
  font-weight: 600;
  white-space: nowrap;
}
.number {
  display: inline-block;
  width: 17px;
  border-radius: 5px;
  background: var(--on-spruce);
  color: var(--spruce);
  font-family: var(--sans);
  font-size: 0.75rem;
  text-align: center;
}
.outcomes dd {
  margin: 0;
  line-height: 1.3;
}
.caution {
  font-size: 0.7812rem;
  border-top: 1px dashed currentColor;
  padding-top: 4px;
  margin-top: 5px;
}
.others {
  font-size: 0.7812rem;
}
</style>
