<script setup lang="ts">
import { guideWords, testStepWords as say } from '@mellow-probe/core/wording/screens/guide';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { outcomeText } from '@mellow-probe/core/wording/outcomeText';
import { stateCaution, stateName } from '@mellow-probe/core/wording/stateText';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ActButton from '../../components/base/ActButton.vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useCardReading } from '../../session/cardReading.ts';
import { useSession } from '../../session/jobSession.ts';
import { useVerdictWords } from '../../session/verdictWords.ts';
import CardDrawing from '../bench/CardDrawing.vue';
import CardEntry from '../bench/CardEntry.vue';

/**
 * The best next test as a card: how it is set up, its caution, the figure, and what the figure says. Nothing goes on by itself: the next card comes
 * when it is asked for.
 */
const emit = defineEmits<{ result: []; back: [] }>();
const { job, verdict, work } = useSession();
const preferences = usePreferences();
const [route, router] = [useRoute(), useRouter()];
const words = useVerdictWords();
const { reading } = useCardReading();

/** Is the next test asked for, and its advice still on the way? */
const waiting = ref(false);
const ready = computed(() => verdict.advice !== null && !verdict.adviceEarlier && !verdict.earlier);
const about = computed(() => (work.test ? measurementById(work.test) : null));
const state = computed(() => reading.value?.state ?? work.state);
const title = computed(() => [about.value?.title, stateName(state.value)].filter(Boolean).join(', '));
const cautions = computed(() => [about.value?.caution, stateCaution(state.value)].filter((c) => c));

/** How the verdict read when this card came. */
const before = ref('');
const outcome = computed(() =>
  reading.value && verdict.result && !verdict.fault && !verdict.earlier
    ? outcomeText(verdict.result.assessment, reading.value.id, preferences.temperatureUnit)
    : null,
);

/** Puts the best test on the card, or the next best where this one is passed over; the result where none is worth its time. */
function take(passed: string | null): void {
  waiting.value = false;
  const wanted = (verdict.advice?.proposals ?? []).find((p) => p.measurement !== passed);
  const first = work.proposed;
  const next = first && first.measurement !== passed ? first : wanted;
  if (!next || words.value?.state === 'firm') return emit('result');
  work.goTest(next.measurement, next.conditions, next.state);
  before.value = words.value?.title ?? '';
  // The address without a test is no card to come back to.
  const to = { path: route.path, query: { step: 'test', test: next.measurement } };
  void (route.query.test === undefined ? router.replace(to) : router.push(to));
}
const passed = ref<string | null>(null);
/** The next card, as soon as its advice is of these figures. */
function ask(without: string | null): void {
  passed.value = without;
  waiting.value = true;
  if (ready.value) take(without);
}
watch(ready, (is) => is && waiting.value && take(passed.value));
function cannot(): void {
  const id = work.test;
  if (id && !job.leftOut.includes(id)) job.leftOut.push(id);
  ask(id);
}
// The browser's own way back and forward shows the card of that address.
watch(
  () => route.query.test,
  (test) => typeof test === 'string' && test !== work.test && route.query.step === 'test' && work.goTest(test),
);
onMounted(() => {
  const { test } = route.query;
  if (typeof test === 'string') {
    if (work.test !== test) work.goTest(test);
    before.value = words.value?.title ?? '';
  } else ask(null);
});
</script>

<template>
  <p v-if="waiting || !about" role="status">{{ say.workingOut }}</p>
  <template v-else>
    <section class="card" :data-card="work.test" :aria-label="about.name">
      <h3>{{ title }}</h3>
      <ol>
        <li v-for="line in about.steps" :key="line">{{ line }}</li>
      </ol>
      <p v-for="caution in cautions" :key="caution!" class="caution">▲ {{ caution }}</p>
      <figure :aria-label="say.leads"><CardDrawing /></figure>
      <CardEntry :key="work.test!" @next="reading && ask(null)" />
      <div v-if="outcome" :class="['said', outcome.standing]" role="status" data-test="outcome">
        <p>
          <b>{{ outcome.title }}</b> {{ outcome.text }}
        </p>
        <p v-if="words" data-test="moved">{{ say.verdictBefore(before || words.title, words.title) }}</p>
      </div>
    </section>
    <div class="ways">
      <ActButton @click="emit('back')">‹ {{ guideWords.back }}</ActButton>
      <ActButton v-if="reading" kind="main" class="on" data-test="on" @click="ask(null)"
        >{{ guideWords.next }} ›</ActButton
      >
      <ActButton v-else class="on" data-test="skip" @click="ask(work.test)">{{ guideWords.skip }} ›</ActButton>
    </div>
    <div class="ways">
      <ActButton v-if="!reading" kind="quiet" @click="cannot">{{ say.cannot }}</ActButton>
      <ActButton kind="quiet" @click="emit('result')">{{ say.resultNow }}</ActButton>
    </div>
  </template>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  gap: 5px;
  min-width: 0;
}
.card :deep(.pad) {
  gap: 5px;
}
.card :deep(.pad button) {
  min-height: 48px;
}
h3 {
  font-size: 1.2rem;
  line-height: 1.25;
}
ol {
  margin: 0;
  padding-left: 22px;
}
figure {
  height: 150px;
  margin: 0;
  display: grid;
}
.caution {
  font-size: 0.92rem;
  color: var(--amber-ink);
}
.said {
  padding: 8px 12px;
  border-left: 4px solid var(--line-strong);
  border-radius: 0 8px 8px 0;
  background: var(--paper);
}
.said.off {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.said.fits {
  border-color: var(--moss);
  background: var(--moss-soft);
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.ways > * {
  min-height: 52px;
}
.on {
  flex: 1;
}
</style>
