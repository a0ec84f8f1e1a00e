<script setup lang="ts">
import { readingModeWords as say } from '@mellow-probe/core/wording/screens/bench';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import HoldButton from '../../components/base/HoldButton.vue';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { spokenText } from '@mellow-probe/core/wording/spokenText';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { canSpeak, speak, tremble } from '../../browser/feedback.ts';
import { useTouch } from '../../browser/useMedia.ts';
import { useCardReading } from '../../session/cardReading.ts';
import { useReadings } from '../../session/readings.ts';
import { useSession } from '../../session/jobSession.ts';
import { useVerdictWords } from '../../session/verdictWords.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useReadingView } from '../../session/readingView.ts';
import NumberPad from '../../components/NumberPad.vue';

/**
 * For two metres' distance: the figure on the card, what it should be, and the verdict. A figure is typed by keys or pad and taken by holding or
 * Enter, so that a sleeve cannot change it; on wish it is spoken back. Escape goes back.
 */
const emit = defineEmits<{ close: [] }>();
const { verdict, work } = useSession();
const preferences = usePreferences();
const readings = useReadings();
const { reading, put } = useCardReading();
const viewOf = useReadingView();
const touch = useTouch();
const about = computed(() => (work.test ? measurementById(work.test) : null));
const view = computed(() => (about.value ? viewOf(about.value.id, reading.value) : null));
const root = ref<HTMLElement>();
/** Typed, and not taken yet. */
const draft = ref('');
const figure = computed(() => {
  const text = draft.value || (reading.value?.text ?? '—');
  return about.value?.quantity === 'volts' && /\d$/.test(text) ? `${text} V` : text;
});
const words = useVerdictWords();

/** Taken and not spoken yet: how it stands is only known with the verdict on it. */
const toSpeak = ref(false);
function take(): void {
  if (draft.value.trim() === '') return;
  const before = reading.value?.text ?? '';
  put(draft.value);
  if (reading.value) readings.remember(reading.value.id, before);
  draft.value = '';
  tremble(40);
  toSpeak.value = true;
  // The button goes out of use under the finger: the keys stay with this sheet.
  root.value?.focus();
}
watch(
  () => [toSpeak.value, verdict.earlier, verdict.state] as const,
  ([wanted, earlier]) => {
    const value = reading.value?.value ?? null;
    if (!wanted || earlier || !about.value || value === null || verdict.state.kind !== 'ready') return;
    toSpeak.value = false;
    if (!preferences.spoken) return;
    const standing = {
      fits: 'as healthy',
      off: view.value?.side ?? '',
      none: '',
    } as const;
    speak(
      spokenText(value, about.value.quantity, standing[view.value?.standing ?? 'none'], preferences.temperatureUnit),
    );
  },
);

const leave = (): void => emit('close');
/** What belongs to a figure; everything else a keyboard sends is left alone. */
const OF_A_FIGURE = /^[\d.,kKmMΩRVCFOLol°+<>~…±-]$/;
function onKey(event: KeyboardEvent): void {
  if (event.ctrlKey || event.altKey || event.metaKey) return;
  const { key } = event;
  const onButton = event.target instanceof HTMLElement && event.target.closest('button, input') !== null;
  if (key === 'Escape') leave();
  else if (key === 'Backspace') draft.value = draft.value.slice(0, -1);
  else if (key === 'Enter' && draft.value !== '' && !onButton) take();
  else if (OF_A_FIGURE.test(key) && about.value) draft.value += key;
  else return;
  event.preventDefault();
}
onMounted(() => {
  window.addEventListener('keydown', onKey);
  root.value?.focus();
});
onBeforeUnmount(() => window.removeEventListener('keydown', onKey));
</script>

<template>
  <div ref="root" class="far" role="dialog" aria-modal="true" :aria-label="say.readingMode" tabindex="-1">
    <template v-if="about">
      <p class="name">{{ about.title }}</p>
      <p class="figure mono" :class="{ draft: draft !== '' }" data-test="far-figure">{{ figure }}</p>
      <p v-if="draft !== ''" class="range">{{ say.notTakenYet }}</p>
      <p v-else-if="view" class="range">
        <b v-if="view.standingText">◆ {{ view.standingText }}. </b
        ><span v-if="view.healthy"
          >{{ say.healthy }} <span class="mono">{{ view.healthy }}</span></span
        >
      </p>
    </template>
    <template v-if="draft === ''">
      <p v-if="words" class="verdict">{{ verdict.earlier ? say.onEarlierFigures(words.title) : words.title }}</p>
      <p v-if="words" class="detail">{{ words.detail }}</p>
    </template>
    <NumberPad v-if="touch && about" class="pad" :text="draft" :quantity="about.quantity" @type="draft = $event" />
    <div class="acts">
      <HoldButton v-if="about" :disabled="draft.trim() === ''" @held="take">{{ say.holdToTake }}</HoldButton>
      <ActButton @click="leave">{{ say.close }}</ActButton>
      <CheckBox v-if="canSpeak()" v-model="preferences.spoken">{{ say.speakIt }}</CheckBox>
    </div>
  </div>
</template>

<style scoped>
.far {
  position: fixed;
  inset: 0;
  z-index: 20;
  background: var(--paper);
  display: flex;
  flex-direction: column;
  justify-content: center;
  align-items: center;
  gap: 1.5vh;
  text-align: center;
  padding: 3vh 4vw;
  overflow-y: auto;
  outline: 0;
}
.figure.draft {
  color: var(--amber-ink);
}
.pad {
  width: min(420px, 100%);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  justify-content: center;
}
.acts > * {
  min-height: 64px;
}
.name {
  font-size: clamp(22px, 4vw, 40px);
}
.figure {
  font-size: clamp(64px, 19vw, 230px);
  line-height: 1;
  font-weight: 600;
  white-space: nowrap;
}
.range {
  font-size: clamp(24px, 4.6vw, 54px);
}
.range b {
  color: var(--amber-ink);
}
.verdict {
  font-size: clamp(26px, 5vw, 60px);
  font-weight: 600;
  line-height: 1.1;
  margin-top: 2vh;
}
.detail {
  font-size: clamp(18px, 2.4vw, 28px);
  color: var(--soft);
}
</style>
