<script setup lang="ts">
import { difficultyChoiceWords as say } from '@mellow-probe/core/wording/screens/train';
import { DIFFICULTIES, type Difficulty } from '@mellow-probe/core/training/cases/caseNumber';
import ChoiceRow from '../../components/base/ChoiceRow.vue';

/** How hard a case is. */
const difficulty = defineModel<Difficulty>({ required: true });
const WORDS = { 1: say.plain, 2: say.harder, 3: say.smallKit } as const;
const levels = DIFFICULTIES.map((value) => ({ value, label: WORDS[value] }));
</script>

<template>
  <ChoiceRow v-model="difficulty" :label="say.difficulty" :options="levels" />
</template>
