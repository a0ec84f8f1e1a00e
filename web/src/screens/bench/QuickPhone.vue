<script setup lang="ts">
import { quickPhoneWords as say } from '@mellow-probe/core/wording/screens/guide';
import { cardEntryWords, quickCardWords as names } from '@mellow-probe/core/wording/screens/bench';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { entryOf } from '@mellow-probe/core/base/units/entry';
import type { FieldQuantity } from '@mellow-probe/core/base/units/quantity';
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { computed, nextTick, ref, watch } from 'vue';
import { useTouch } from '../../browser/useMedia.ts';
import ActButton from '../../components/base/ActButton.vue';
import CircuitDrawing from '../../components/drawing/CircuitDrawing.vue';
import { drawingOf } from '../../components/drawing/drawingOf.ts';
import EntryField from '../../components/EntryField.vue';
import FigureField from '../../components/FigureField.vue';
import MomentNotice from '../../components/MomentNotice.vue';
import NoticedTaps from '../../components/NoticedTaps.vue';
import NumberPad from '../../components/NumberPad.vue';
import ThermometerTap from '../../components/ThermometerTap.vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useGeneralMoment } from '../../session/moments.ts';
import { useReadings } from '../../session/readings.ts';
import { useSession } from '../../session/jobSession.ts';
import { useReadingView } from '../../session/readingView.ts';
import CircuitChoice from './CircuitChoice.vue';
import { AskSheet } from './laterParts.ts';

/**
 * The quick check on a phone: the circuit in a line, then every figure on one screen, each with where its leads go. Figures are typed on the page's own
 * keys, so that minus, k and OL are at hand and nothing moves.
 */
defineEmits<{ details: [] }>();
const { job, verdict } = useSession();
const readings = useReadings();
const viewOf = useReadingView();
const preferences = usePreferences();
const touch = useTouch();
const { settled, question } = useGeneralMoment();
const temperature = computed(() => job.moments[0]);

/** The tests of the quick check in their order, under the names they have here. */
const tests = computed(() => [
  { id: 'displayed', name: names.displayed },
  { id: 'sensor-ohms', name: names.sensorOhms },
  { id: 'open-voltage', name: names.voltsUnplugged },
  { id: 'loaded-voltage', name: names.voltsPluggedIn },
  ...(job.circuit.layout === 'one-wire'
    ? []
    : [{ id: 'return-drop', name: job.circuit.layout === 'pull-down' ? names.feedVolts : names.returnDrop }]),
]);
const fields = computed(() =>
  tests.value.map(({ id, name }) => {
    const reading = readings.first(id);
    const about = measurementById(id);
    return {
      id,
      name,
      about,
      text: reading?.text ?? '',
      quantity: about.quantity,
      lead: say.leads[id as keyof typeof say.leads],
      view: { ...viewOf(id, reading), predicted: '' },
      issue: reading ? verdict.issues.get(`readings.${reading.id}`) : undefined,
    };
  }),
);

/** Which figure the keys on the page type into; none: they are away. */
const active = ref<string | null>(null);
/** Letters are typed by the screen's own keyboard, where they were asked for. */
const letters = ref(false);
const THERMOMETER = 'thermometer';
const keyed = computed<{ text: string; quantity: FieldQuantity } | null>(() => {
  if (active.value === THERMOMETER) return { text: temperature.value.temperatureC.text, quantity: 'told-celsius' };
  return fields.value.find((f) => f.id === active.value) ?? null;
});
function type(text: string): void {
  if (active.value === THERMOMETER)
    temperature.value.temperatureC = entryOf(text, 'told-celsius', preferences.temperatureUnit);
  else if (active.value) readings.typeInto(active.value, text);
}
watch(active, (_, before) => before === THERMOMETER && settled());
const root = ref<HTMLElement>();
const inputOf = (id: string | null): HTMLInputElement | null =>
  root.value?.querySelector<HTMLInputElement>(`[data-field="${id}"] input`) ?? null;
function goOn(): void {
  const ids = [THERMOMETER, ...tests.value.map((t) => t.id)];
  const next = ids[ids.indexOf(active.value ?? '') + 1];
  if (next) inputOf(next)?.focus();
  else done();
}
function done(): void {
  inputOf(active.value)?.blur();
  active.value = null;
}
async function toLetters(): Promise<void> {
  letters.value = true;
  const input = inputOf(active.value);
  input?.blur();
  await nextTick();
  input?.focus();
}
const changing = ref(false);
/** The test whose picture is shown. */
const shown = ref<string | null>(null);
const picture = computed(() => (shown.value ? measurementById(shown.value) : null));
const open = computed({ get: () => shown.value !== null, set: (is) => (shown.value = is ? shown.value : null) });
</script>

<template>
  <section ref="root" class="sheet phone" :aria-label="names.quickCheck">
    <div class="circuit">
      <span
        ><span class="soft">{{ say.circuit }}:</span> {{ unbroken(job.circuit.name) }}</span
      >
      <ActButton kind="quiet" :aria-expanded="changing" :aria-label="say.change" @click="changing = !changing">{{
        changing ? say.done : '✎'
      }}</ActButton>
    </div>
    <div v-if="changing" class="choice">
      <CircuitChoice @details="$emit('details')" />
      <EntryField
        :label="names.reference"
        quantity="volts"
        v-model="job.circuit.referenceV"
        :issue="verdict.issues.get('circuit.referenceV')"
      />
      <EntryField
        :label="job.circuit.layout === 'pull-down' ? names.pullDown : names.pullUp"
        quantity="ohms"
        v-model="job.circuit.pullUpOhm"
        :issue="verdict.issues.get('circuit.pullUpOhm')"
        :placeholder="names.unknown"
      />
    </div>
    <div class="figures" @focusin="letters = letters && touch">
      <div class="one" data-field="thermometer" @focusin="active = THERMOMETER">
        <EntryField
          :label="names.thermometer"
          quantity="told-celsius"
          v-model="temperature.temperatureC"
          :pad="touch && !letters"
          :issue="verdict.issues.get('moments.steady.temperatureC')"
          @settle="settled"
        />
        <div class="lead">
          <span>{{ say.leads.thermometer }}</span>
          <NoticedTaps v-if="temperature.temperatureC.text.trim() === ''" v-model="temperature.temperatureC" />
          <ThermometerTap v-else v-model="temperature.thermometer" :kit="job.kit" />
        </div>
      </div>
      <div v-for="f in fields" :key="f.id" class="one" :data-field="f.id" @focusin="active = f.id">
        <FigureField
          :label="f.name"
          :text="f.text"
          :quantity="f.quantity"
          :issue="f.issue"
          v-bind="f.view"
          :pad="touch && !letters"
          :about="f.about.title"
          :data-measurement="f.id"
          @type="readings.typeInto(f.id, $event)"
          @choose="readings.typeInto(f.id, $event)"
        />
        <div class="lead">
          <span>{{ f.lead }}</span>
          <ActButton kind="bare" class="look" :aria-label="say.picture(f.name)" @click="shown = f.id">?</ActButton>
        </div>
      </div>
    </div>
    <MomentNotice v-if="question" :question="question" />
    <div v-if="touch && keyed && !letters" class="dock" @mousedown.prevent>
      <NumberPad
        :text="keyed.text"
        :quantity="keyed.quantity"
        :next="cardEntryWords.next"
        @type="type"
        @next="goOn"
        @letters="toLetters"
      />
      <ActButton kind="quiet" class="away" @click="done">{{ say.done }}</ActButton>
    </div>
    <AskSheet v-model:open="open" :title="picture?.title ?? ''" :width="420">
      <template v-if="picture">
        <div class="drawing">
          <CircuitDrawing :drawing="drawingOf(job, verdict, preferences.temperatureUnit, picture)" upright />
        </div>
        <ol>
          <li v-for="step in picture.steps" :key="step">{{ step }}</li>
        </ol>
        <p v-if="picture.caution" class="caution">▲ {{ picture.caution }}</p>
      </template>
    </AskSheet>
  </section>
</template>

<style scoped>
.phone {
  padding: 6px 10px;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.circuit {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
.figures {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 4px 10px;
}
.one {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
/* What is said under a figure has its room from the start: nothing moves while one types. */
.one :deep(.under) {
  order: 3;
  height: 32px;
  min-height: 32px;
  overflow: hidden;
}
.one :deep(.range),
.one :deep(.second) {
  white-space: normal;
}
.lead {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
  gap: 4px;
  min-height: 30px;
  font-size: 0.75rem;
  line-height: 1.2;
  color: var(--soft);
}
.look {
  flex: none;
  min-width: 32px;
  min-height: 32px;
  margin: -4px 0 -6px;
  border: 1px solid var(--line-strong);
  border-radius: 16px;
  padding: 0;
}
.dock {
  position: fixed;
  inset: auto 0 0;
  z-index: 7;
  padding: 4px 10px 8px;
  border-top: 2px solid var(--line-strong);
  background: var(--sheet);
}
.dock :deep(.pad) {
  gap: 5px;
}
.dock :deep(.pad button) {
  min-height: 46px;
}
.away {
  width: 100%;
}
.drawing {
  display: grid;
  height: 260px;
}
.caution {
  color: var(--amber-ink);
}
</style>
