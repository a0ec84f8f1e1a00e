<script setup lang="ts">
import { DIFFICULTIES, type Difficulty } from '@mellow-probe/core/training/caseNumber';
import ChoiceRow from '../../components/base/ChoiceRow.vue';

/** How hard a case is. */
const difficulty = defineModel<Difficulty>({ required: true });
const WORDS = { 1: 'plain', 2: 'harder', 3: 'small kit' } as const;
const levels = DIFFICULTIES.map((value) => ({ value, label: WORDS[value] }));
</script>

<template>
  <ChoiceRow v-model="difficulty" label="Difficulty" :options="levels" />
</template>
