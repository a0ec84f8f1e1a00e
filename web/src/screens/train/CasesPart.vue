<script setup lang="ts">
import { casesPartWords as say } from '@mellow-probe/core/wording/screens/train';
import { caseNumberOf, type Difficulty, readCaseNumber } from '@mellow-probe/core/training/cases/caseNumber';
import type { PlayMode } from '@mellow-probe/core/training/cases/playRecord';
import { themeById, type ThemeId, THEMES } from '@mellow-probe/core/training/cases/themes';
import { FIELDS, type MachineField } from '@mellow-probe/core/base/units/vocabulary';
import { caseNumberFaultText } from '@mellow-probe/core/wording/trainingText';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import PickList from '../../components/base/PickList.vue';
import TextField from '../../components/base/TextField.vue';
import { useTraining } from '../../data/stores/training.ts';
import DifficultyChoice from './DifficultyChoice.vue';
import ModeChoice from './ModeChoice.vue';
import RefusedBar from './RefusedBar.vue';
import { useBegin } from './useBegin.ts';

/** A case to play: the one that is next in turn, one that is asked for, or one by its number. */
const training = useTraining();
const { begin, refused } = useBegin();
const mode = ref<PlayMode>('hidden');
const theme = ref<ThemeId>('any');
const field = ref<MachineField>('engine');
const difficulty = ref<Difficulty>(1);
const typed = ref('');
const wrong = ref('');
const themes = THEMES.map(({ id, name, idea }) => ({ value: id, label: name, about: idea }));
const fields = FIELDS.map((value) => ({ value, label: value }));
const play = (number: string): Promise<void> => begin(number, mode.value);
/** A fresh case of this kind: seeds run on with the plays. */
const SEEDS_FROM = 100_000;
const drawn = (): string =>
  caseNumberOf({
    ...{ theme: theme.value, field: field.value, difficulty: difficulty.value },
    seed: SEEDS_FROM + training.plays.length * 31 + Math.floor(Math.random() * 1e6),
  });
function byNumber(): void {
  const read = readCaseNumber(typed.value);
  wrong.value = read.ok ? '' : caseNumberFaultText(read.why);
  if (read.ok) void play(read.number);
}
const open = computed(() =>
  training.plays
    .filter((p) => p.endedAt === null)
    .slice(-5)
    .reverse(),
);
</script>

<template>
  <RefusedBar :shown="refused" />
  <section class="sheet part" :aria-label="say.nextCase">
    <h2>{{ say.nextInTurn }}</h2>
    <p class="soft">{{ say.adaptiveHelp }}</p>
    <ModeChoice v-model="mode" />
    <div class="acts">
      <ActButton kind="main" @click="play(training.next)">{{ say.nextCase }}</ActButton>
      <ActButton v-for="p in open" :key="p.id" :to="`/train/play/${p.id}`">{{ say.goOnWith(p.number) }}</ActButton>
    </div>
  </section>
  <section class="sheet part" :aria-label="say.ofYourChoice">
    <h2>{{ say.ofYourChoice }}</h2>
    <div class="fields">
      <PickList v-model="theme" :label="say.theme" :options="themes" />
      <PickList v-model="field" :label="say.field" :options="fields" />
    </div>
    <p class="soft">{{ themeById(theme).idea }}</p>
    <DifficultyChoice v-model="difficulty" />
    <div class="acts">
      <ActButton @click="play(drawn())">{{ say.drawACase }}</ActButton>
    </div>
  </section>
  <section class="sheet part" :aria-label="say.byItsNumber">
    <h2>{{ say.byItsNumber }}</h2>
    <p class="soft">{{ say.numberHelp }}</p>
    <form class="fields" @submit.prevent="byNumber">
      <TextField v-model="typed" :label="say.caseNumber" :placeholder="say.exampleNumber" :maxlength="20" mono />
      <ActButton submit :disabled="typed.trim() === ''">{{ say.playIt }}</ActButton>
    </form>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  </section>
</template>

<style scoped>
.part {
  padding: 14px 18px;
}
h2 {
  font-size: 1.0625rem;
  margin: 0 0 2px;
}
p {
  margin: 2px 0 6px;
}
.acts,
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  margin-top: 6px;
}
.fields > :not(.act) {
  flex: 0 1 260px;
}
.wrong {
  color: var(--clay-ink, var(--clay));
}
</style>
