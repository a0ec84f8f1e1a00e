<script setup lang="ts">
import ActButton from '../../components/base/ActButton.vue';
import { measurementById } from '@mellow-probe/core/measurements/list';
import { readingNameById } from '@mellow-probe/core/wording/conditionsText';
import { verdictText } from '@mellow-probe/core/wording/verdictText';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { useReadings } from '../../session/readings.ts';
import { useSession } from '../../session/jobSession.ts';
import { usePreferences } from '../../stores/preferences.ts';
import { useReadingView } from '../../session/readingView.ts';

/** For two metres' distance: the figure on the card, what it should be, and the verdict. Any key goes back. */
const emit = defineEmits<{ close: [] }>();
const { verdict, work } = useSession();
const preferences = usePreferences();
const readings = useReadings();
const viewOf = useReadingView();
const close = ref<HTMLButtonElement>();
const about = computed(() => (work.test ? measurementById(work.test) : null));
const reading = computed(() => (work.readingId ? readings.find(work.readingId) : undefined));
const view = computed(() => (about.value ? viewOf(about.value.id, reading.value) : null));
const figure = computed(() => {
  const text = reading.value?.text ?? '—';
  return about.value?.quantity === 'volts' && /\d$/.test(text) ? `${text} V` : text;
});
const words = computed(() =>
  verdict.result
    ? verdictText(
        verdict.result.assessment,
        (id) => readingNameById(verdict.shown!.of.job, id),
        preferences.temperatureUnit,
        verdict.two,
      )
    : null,
);
const leave = (): void => emit('close');
onMounted(() => {
  window.addEventListener('keydown', leave);
  close.value?.focus();
});
onBeforeUnmount(() => window.removeEventListener('keydown', leave));
</script>

<template>
  <div class="far" role="dialog" aria-modal="true" aria-label="Reading mode" @click="leave">
    <template v-if="about">
      <p class="name">{{ about.title }}</p>
      <p class="figure mono">{{ figure }}</p>
      <p v-if="view" class="range">
        <b v-if="view.standingText">◆ {{ view.standingText }}. </b
        ><span v-if="view.healthy"
          >healthy <span class="mono">{{ view.healthy }}</span></span
        >
      </p>
    </template>
    <p v-if="words" class="verdict">{{ verdict.earlier ? `On earlier figures: ${words.title}` : words.title }}</p>
    <p v-if="words" class="detail">{{ words.detail }}</p>
    <ActButton ref="close" @click.stop="leave">Back to the bench</ActButton>
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
}
.name {
  font-size: clamp(22px, 4vw, 40px);
}
.figure {
  font-size: clamp(90px, 19vw, 230px);
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
