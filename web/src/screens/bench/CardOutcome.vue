<script setup lang="ts">
import { cardOutcomeWords as say } from '@mellow-probe/core/wording/screens/bench';
import TextField from '../../components/base/TextField.vue';
import ActButton from '../../components/base/ActButton.vue';
import { outcomeLines } from '@mellow-probe/core/wording/outcomeLines';
import { outcomeText } from '@mellow-probe/core/wording/outcomeText';
import { computed, ref } from 'vue';
import { useReadings } from '../../session/readings.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useUnsent } from '../../session/unsent.ts';
import { useSession } from '../../session/jobSession.ts';
import RepeatTap from './RepeatTap.vue';

/** What the reading on the card says: how it stands, which suspects it speaks for and against; and what can be done with it. */
const { verdict, work } = useSession();
const readings = useReadings();
const preferences = usePreferences();
const reading = computed(() => (work.readingId ? readings.find(work.readingId) : undefined));
const outcome = computed(() =>
  reading.value && verdict.result && !verdict.fault
    ? outcomeText(verdict.result.assessment, reading.value.id, preferences.temperatureUnit)
    : null,
);
/** Before the reading: what it can show, and what each outcome would leave. */
const ahead = computed(() => {
  const p = verdict.advice?.proposals.find((x) => x.measurement === work.test);
  if (reading.value || !p) return [];
  return outcomeLines(p, preferences.temperatureUnit);
});
const reason = useUnsent(() => `void ${work.readingId}`);
const voiding = ref(reason.value !== '');
function voidIt(): void {
  if (reading.value && reason.value.trim() !== '') readings.voidReading(reading.value.id, reason.value.trim());
  [voiding.value, reason.value] = [false, ''];
}
</script>

<template>
  <div class="outcome">
    <p v-if="reading?.voided" class="box voided">
      {{ say.voided(reading.voided.reason) }}
      <ActButton kind="quiet" @click="readings.unvoid(reading.id)">{{ say.include }}</ActButton>
    </p>
    <p v-else-if="outcome" :class="['box', outcome.standing]" data-test="outcome" role="status">
      <b>{{ outcome.title }}</b> {{ outcome.text }}
    </p>
    <div v-else-if="ahead.length > 0" class="box ahead">
      <div v-for="a in ahead" :key="a.range" class="line">
        <span class="mono range">{{ a.range }}</span>
        <span
          >{{ a.leaves }} <span class="soft">{{ a.chance }}</span></span
        >
      </div>
    </div>
    <div v-if="reading && !reading.voided" class="acts">
      <form v-if="voiding" class="voiding" @submit.prevent="voidIt">
        <TextField
          v-model="reason"
          class="words"
          unsent
          :label="say.exclusionReason"
          hide-label
          :placeholder="say.exclusionReasonExample"
          :maxlength="400"
        />
        <ActButton submit :disabled="reason.trim() === ''">{{ say.void }}</ActButton>
        <ActButton kind="quiet" @click="voiding = false">{{ say.keep }}</ActButton>
      </form>
      <template v-else>
        <TextField
          v-model="reading.note"
          class="words"
          :label="say.noteLabel"
          hide-label
          :placeholder="say.note"
          :maxlength="2000"
        />
        <RepeatTap @again="work.again($event)">{{ say.repeat }}</RepeatTap>
        <ActButton kind="quiet" @click="voiding = true">{{ say.voidWhy }}</ActButton>
      </template>
    </div>
  </div>
</template>

<style scoped>
.outcome {
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-width: 0;
}
.box {
  padding: 7px 10px;
  border-left: 4px solid var(--line-strong);
  background: var(--paper);
  border-radius: 0 8px 8px 0;
  font-size: 0.875rem;
}
.box.off {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.box.fits {
  border-color: var(--moss);
  background: var(--moss-soft);
}
.line {
  display: grid;
  grid-template-columns: minmax(7.5em, auto) 1fr;
  gap: 10px;
}
.line .mono {
  white-space: nowrap;
}
.acts,
.voiding {
  display: flex;
  gap: 2px;
  align-items: center;
  min-width: 0;
  width: 100%;
}
.words {
  flex: 1;
  min-width: 60px;
}
</style>
