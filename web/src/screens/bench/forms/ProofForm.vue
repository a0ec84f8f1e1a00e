<script setup lang="ts">
import { standingOf } from '../../../session/readingView.ts';
import { proofFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import TextField from '../../../components/base/TextField.vue';
import PickList from '../../../components/base/PickList.vue';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { inside, type Interval } from '@mellow-probe/core/base/numeric/interval';
import { PROOF_TESTS, proofStateOf, proofStepsFor } from '@mellow-probe/core/check/proof/proofPlan';
import { formatInterval } from '@mellow-probe/core/base/units/format';
import { computed } from 'vue';
import EntryField from '../../../components/EntryField.vue';
import FigureField from '../../../components/FigureField.vue';
import { nowIso } from '../../../browser/newId.ts';
import { useReadings } from '../../../session/readings.ts';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../data/stores/preferences.ts';
import ActButton from '../../../components/base/ActButton.vue';
import CloseJob from './CloseJob.vue';
import IntervalStrip from '../../../components/IntervalStrip.vue';
import FormSheet from './FormSheet.vue';

/** The proof of a repair: predicted values at today's temperature, steps, and closing the job with proof or with a stated reason. */
const { job, verdict } = useSession();
const preferences = usePreferences();
const { read } = useReadings();
const proof = computed(() => job.proof);
const healthy = computed(() => verdict.result?.proofHealthy ?? {});
const state = computed(() => proofStateOf(job, healthy.value));
const steps = computed(() => proofStepsFor(job));
const tests = computed(() =>
  PROOF_TESTS.filter((id) => measurementById(id).layouts.includes(job.circuit.layout)).map((id) => {
    const { name, quantity } = measurementById(id);
    const typed = proof.value.readings.find((r) => r.measurement === id);
    const range = healthy.value[id];
    const value = typed?.value === 'OL' ? Infinity : (typed?.value ?? null);
    const fits = value !== null && range ? inside(range, value) : null;
    return {
      id,
      name,
      quantity,
      range,
      value,
      text: typed?.text ?? '',
      healthy: range ? formatInterval(range, quantity, preferences.temperatureUnit) : '',
      ...standingOf(fits),
    };
  }),
);
function put(id: string, text: string): void {
  const others = proof.value.readings.filter((r) => r.measurement !== id);
  proof.value.readings = text.trim() === '' ? others : [...others, { measurement: id, text, value: read(id, text) }];
}
/** Room on both sides of a band, so that it is seen how far off a value lies. */
function wider({ low, high }: Interval): Interval {
  return { low: low - (high - low), high: high + (high - low) };
}
const STEP_STATES = [
  { value: '', label: say.toDo },
  { value: 'passed', label: say.passed },
  { value: 'failed', label: say.failed },
  { value: 'not-possible', label: say.notPossibleHere },
] as const;
function setStep(id: string, value: (typeof STEP_STATES)[number]['value']): void {
  const next = { ...proof.value.steps };
  if (value === '') delete next[id];
  else next[id] = { state: value, note: next[id]?.note ?? '', at: nowIso() };
  proof.value.steps = next;
}
/** Every step that has no result yet has passed. */
function allPassed(): void {
  const open = state.value.missing.map((id) => [id, { state: 'passed' as const, note: '', at: nowIso() }]);
  proof.value.steps = { ...proof.value.steps, ...Object.fromEntries(open) };
}
</script>

<template>
  <FormSheet :title="say.proof" :purpose="say.purpose">
    <div>
      <h3>{{ say.readingsTitle }}</h3>
      <div class="values">
        <EntryField
          :label="say.thermometerNow"
          quantity="told-celsius"
          v-model="proof.temperatureC"
          :hint="say.besideTheSensor"
        />
        <div v-for="t in tests" :key="t.id">
          <FigureField
            :label="t.name"
            :quantity="t.quantity"
            :text="t.text"
            :healthy="t.healthy"
            :standing="t.standing"
            :standing-text="t.standingText"
            @type="put(t.id, $event)"
            @choose="put(t.id, $event)"
          />
          <IntervalStrip
            v-if="t.range && t.value !== null"
            :interval="t.range"
            :value="t.value"
            :all="[wider(t.range)]"
            :quantity="t.quantity"
            :words="t.healthy"
          />
        </div>
      </div>
    </div>
    <div>
      <div class="row">
        <h3>{{ say.steps }}</h3>
        <ActButton v-if="state.missing.length > 0" data-test="all-passed" @click="allPassed">{{
          say.allPassed
        }}</ActButton>
      </div>
      <div v-for="s in steps" :key="s.id" class="step" data-test="proof-step">
        <div>
          <b>{{ s.name }}</b> <span class="soft">{{ s.how }}</span>
          <span v-if="s.caution" class="caution"> ▲ {{ s.caution }}</span>
        </div>
        <PickList
          :label="s.name"
          hide-label
          :options="STEP_STATES"
          :model-value="proof.steps[s.id]?.state ?? ''"
          @update:model-value="setStep(s.id, $event)"
        />
        <TextField
          v-if="proof.steps[s.id]"
          v-model="proof.steps[s.id].note"
          :label="say.noteOn(s.name)"
          hide-label
          :placeholder="say.note"
          :maxlength="400"
        />
      </div>
    </div>
    <CloseJob :state="state" />
  </FormSheet>
</template>

<style scoped>
.values {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
}
.step {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 160px 160px;
  gap: 10px;
  align-items: center;
  padding: 5px 0;
  border-top: 1px solid var(--line);
}
@media (max-width: 43.75em) {
  .step {
    grid-template-columns: 1fr;
  }
}
</style>
